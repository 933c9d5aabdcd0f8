import { isLanguage, language, withTextsTranslated, type Language } from '#shared/i18n'
import { handoverDocument, type Copy, type Handover } from '../pdf/handoverDocument'
import { renderPdf } from '../pdf/renderPdf'
import { inLanguage } from '../utils/language'

/** Language of a copy: the owner's own where the job says it, else that of whoever prints. */
export const languageOfCopy = (copy: Copy, { ownerLanguage }: Handover['job']): Language =>
  copy === 'owner' && isLanguage(ownerLanguage) ? ownerLanguage : language()

/** A handover on paper, in the language of whoever reads that copy. */
export const handoverPaper = (handover: Handover, copy: Copy): Promise<Buffer> =>
  inLanguage(languageOfCopy(copy, handover.job), () =>
    renderPdf(
      handoverDocument(
        {
          ...handover,
          sheet: withTextsTranslated(handover.sheet),
          found: withTextsTranslated(handover.found),
          rules: withTextsTranslated(handover.rules),
        },
        copy,
      ),
    ),
  )
