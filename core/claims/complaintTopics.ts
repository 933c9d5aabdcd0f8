import { topicOf, type ModelSheet } from '../sheet'
import type { Topic } from '../quantity'

/** What an owner complains of, in his words, and what of the set they are about. */
interface Complaint {
  readonly topics: readonly Topic[]
  /** in small letters, without accents */
  readonly words: RegExp
}

const any = (...words: readonly RegExp[]): RegExp => new RegExp(words.map(w => w.source).join('|'))

/** How owners put it (common practice), in English and in Spanish; a word may be about several things. */
const COMPLAINTS: readonly Complaint[] = [
  {
    topics: ['receiver'],
    words: any(
      /\bdeaf\b|\b(?:can ?no|can'|doesn'|does no|won'|don')t hear\b|hears? (?:nothing|nobody|little)/,
      /receiv\w+ (?:is |a little |very |rather )*(?:weak|poor|bad|dull)|weak recei/,
      /\bsord[oa]\b|no (?:se )?oye|no recibe|recibe mal|recepcion (?:debil|mala|floja)/,
    ),
  },
  {
    topics: ['power', 'low-power', 'modulated-power'],
    words: any(
      /\b(?:low|no|little|weak|more) power\b|\bweak\b(?! recei)|\bwatts?\b|not getting out/,
      /nobody (?:hears|answers)|doesn't transmit|no transmit/,
      /poca potencia|sin potencia|\bvatios?\b|\bdebil\b|no transmite|no sale|nadie (?:me )?(?:oye|contesta)/,
    ),
  },
  {
    topics: ['tx-frequency', 'rx-frequency', 'reference'],
    words: any(
      /off[- ]?(?:frequency|channel)|frequency|\bdrift|\bhz\b|wander|warbl|donald/,
      /fuera de (?:frecuencia|canal)|frecuencia|\bderiva/,
    ),
  },
  {
    topics: ['depth', 'deviation', 'modulated-power'],
    words: any(
      /\bquiet\b|muffl|distort|\bmodulat|\baudio\b|\bvoice\b|\bmic(?:rophone)?\b|\bloud/,
      /\bbaj[oa] de (?:audio|voz)|distorsion|modulacion|\bvoz\b|microfono|sonido apagado/,
    ),
  },
  {
    topics: ['purity', 'linearity'],
    words: any(
      /splatter|\bwide\b|\bbleed|next channels?|neighbou?r|interfer|\btv\b|television/,
      /\bancho\b|vecin|salpic|canal(?:es)? de al lado/,
    ),
  },
  {
    topics: ['supply-current', 'bias'],
    words: any(/\bfuses?\b|\bhot\b|smoke|smell|burn(?:s|t|ing)/, /fusibles?|calient|humo|huele|quema/),
  },
  { topics: ['panel-meter', 's-meter'], words: /\bneedle\b|\bs-?meter\b|\bpanel\b|aguja|s-?metro/ },
  {
    topics: ['lock', 'vco'],
    words: /\block(?:s|ed|ing)?\b|\bunlock|\bdead channels?\b|no engancha|desengancha/,
  },
]

/** Rows that an owner's words are about. */
export interface ComplaintRows {
  /** the first of what those words are about that this sheet measures */
  readonly topic: Topic
  /** the words, as they were found */
  readonly said: string
  readonly rowIds: readonly string[]
}

/**
 * Rows of the sheet that settle what a complaint is about. Inferred from single words: it says where to look
 * first, and nothing of the set.
 */
export function complaintRows({ matrix }: Pick<ModelSheet, 'matrix'>, complaint: string): ComplaintRows[] {
  const plain = complaint.normalize('NFD').replaceAll(/\p{M}/gu, '').toLowerCase()
  return COMPLAINTS.flatMap(({ topics, words }) => {
    const said = words.exec(plain)?.[0]
    if (said === undefined) return []
    const rows = matrix.filter(p => p.wants.some(w => topics.includes(topicOf(w.quantity, p.state))))
    const first = topics.find(t => rows.some(p => p.wants.some(w => topicOf(w.quantity, p.state) === t)))
    return first ? [{ topic: first, said, rowIds: rows.map(p => p.id) }] : []
  })
}
