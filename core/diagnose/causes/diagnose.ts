import type { Quantity } from '../../quantity'
import type { RowState } from '../../run'
import { kindHas, kindInfo, type ModelSheet } from '../../sheet'
import type { Cause } from './cause'
import { CAUSES } from './catalogue'
import { nextTests, type NextTest } from './nextTest'
import { DOMAINS, type Domain, type Evidence, type Observable, type TestMade } from './observable'
import { OBSERVABLES, observableOf } from './observables'
import { rowsFor } from './rowsFor'
import { answered, likelihoodOf, rankCauses, type ConfirmedBefore, type RankedCause } from './rank'

/** An outcome other than the healthy one counts as a symptom from this share on. */
const SYMPTOM_SHARE = 0.5
/** From here on a cause may explain what shows elsewhere, if it makes it at least this likely. */
const NEARLY_CERTAIN = 0.8
const EXPECTED = 0.5

/** One part of the set: what shows, what it may come from, what to try next. */
export interface DomainFinding {
  readonly domain: Domain
  /** evidence that is not as in a healthy set; empty = nothing to explain here */
  readonly symptoms: readonly Evidence[]
  readonly fine: readonly Evidence[]
  /** empty without symptoms */
  readonly ranked: readonly RankedCause[]
  readonly next: readonly NextTest[]
  /**
   * when nothing discriminates any more: the test by hand that would prove the leading cause; null = made, or
   * there is none
   */
  readonly proof: Observable | null
  /** questions whose readings no instrument of the bench gives */
  readonly cannotAsk: readonly Observable[]
  /**
   * the nearly certain cause in another part of the set that makes every symptom here too; null = there is
   * none
   */
  readonly explainedBy: Cause | null
}

export interface Diagnosis {
  readonly domains: readonly DomainFinding[]
}

/**
 * What the readings of a set point to.
 *
 * Each part of the set is weighed apart, since an old set has several faults; within a part one fault is
 * assumed.
 * @param sheet revision of the job
 * @param rows matrix with the readings to be explained (struck readings are not in it)
 * @param tests made by hand; a later answer to the same question replaces an earlier one
 * @param canRead whether an instrument of this bench reads a quantity
 * @param confirmed what was confirmed on other jobs of this model
 */
export function diagnose(
  sheet: ModelSheet,
  rows: readonly RowState[],
  tests: readonly TestMade[],
  canRead: (quantity: Quantity) => boolean,
  confirmed: ConfirmedBefore = {},
): Diagnosis {
  const modes = new Set(sheet.matrix.map(p => p.state.mode))
  const applies = (x: { modes: Observable['modes'] }) => x.modes === null || x.modes.some(m => modes.has(m))
  const asked = OBSERVABLES.filter(applies)
  const evidence = [
    ...asked.flatMap(o => byReadings(o, rows, sheet)),
    ...byHand(tests).filter(e => applies(e.observable)),
  ]
  const open = asked.filter(o => !evidence.some(e => e.observable.id === o.id))
  const isWarm = wasWarm(rows, sheet)
  const domains = DOMAINS.map(domain =>
    domainFinding(domain, evidence, open, { sheet, canRead, applies, isWarm, confirmed }),
  )
  return { domains: domains.map(d => ({ ...d, explainedBy: explanation(d, domains) })) }
}

/** One fault may show in two parts of a set: a shorted regulator takes the depth with it. */
function explanation(here: DomainFinding, all: readonly DomainFinding[]): Cause | null {
  if (here.symptoms.length === 0) return null
  const certain = all
    .filter(d => d !== here)
    .flatMap(d =>
      d.ranked[0]?.cause && d.ranked[0].probability >= NEARLY_CERTAIN ? [d.ranked[0].cause] : [],
    )
  return (
    certain.find(cause =>
      here.symptoms.every(
        s => s.observable.id in cause.shows && likelihoodOf(cause, s.observable, s.soft) >= EXPECTED,
      ),
    ) ?? null
  )
}

function byReadings(observable: Observable, rows: readonly RowState[], sheet: ModelSheet): Evidence[] {
  if (observable.source.kind !== 'readings') return []
  const found = observable.source.see(rowsFor(observable, rows, sheet), sheet)
  return found ? [{ observable, soft: found.soft, used: found.used, byHand: false }] : []
}

function byHand(tests: readonly TestMade[]): Evidence[] {
  return [...new Map(tests.map(t => [t.observableId, answered(t.observableId, t.outcome)])).values()]
}

/** What is known of the set and its bench, whatever part of it is looked at. */
interface OfSet {
  readonly sheet: ModelSheet
  readonly canRead: (q: Quantity) => boolean
  readonly applies: (x: { modes: Observable['modes'] }) => boolean
  readonly isWarm: boolean
  readonly confirmed: ConfirmedBefore
}

function domainFinding(
  domain: Domain,
  evidence: readonly Evidence[],
  open: readonly Observable[],
  { sheet, canRead, applies, isWarm, confirmed }: OfSet,
): DomainFinding {
  const here = evidence.filter(e => e.observable.domain === domain)
  const symptoms = here.filter(e => 1 - (e.soft[e.observable.healthy] ?? 0) >= SYMPTOM_SHARE)
  const fine = here.filter(e => !symptoms.includes(e))
  if (symptoms.length === 0)
    return { domain, symptoms, fine, ranked: [], next: [], proof: null, cannotAsk: [], explainedBy: null }
  const causes = CAUSES.filter(c => c.domain === domain && applies(c) && canShow(c, sheet, isWarm))
  const named = new Set(causes.flatMap(c => Object.keys(c.shows)))
  const ranked = rankCauses(
    causes,
    evidence.filter(e => named.has(e.observable.id)),
    confirmed,
  )
  const useful = open.filter(o => named.has(o.id))
  const wanted = new Set(sheet.matrix.flatMap(p => p.wants.map(w => w.quantity)))
  // Of two kinds of sensitivity a sheet asks for one: only what it asks for is needed.
  const needs = (o: Observable) =>
    o.source.kind === 'readings' ? o.source.quantities.filter(q => wanted.has(q)) : []
  const measurable = useful.filter(o => answerable(o, sheet))
  const can = (o: Observable) => needs(o).every(canRead)
  const next = nextTests(ranked, measurable.filter(can))
  return {
    domain,
    symptoms,
    fine,
    ranked,
    next,
    proof: next.length > 0 ? null : proofOf(ranked[0]?.cause ?? null, open),
    cannotAsk: measurable.filter(o => !can(o)),
    explainedBy: null,
  }
}

/** The witness by hand that the cause names first and that has not been heard. */
function proofOf(cause: Cause | null, open: readonly Observable[]): Observable | null {
  return (
    Object.keys(cause?.shows ?? {}).flatMap(
      id => open.find(o => o.id === id && o.source.kind === 'test') ?? [],
    )[0] ?? null
  )
}

/** Whether the sheet has rows that answer a question; a test by hand needs none. */
function answerable({ source }: Observable, sheet: ModelSheet): boolean {
  if (source.kind === 'test') return true
  return (
    source.inSheet?.(sheet) ??
    source.quantities.some(q => sheet.matrix.some(p => p.wants.some(w => w.quantity === q)))
  )
}

/**
 * A cause is none of this set's faults when the set has not the part, or nothing could ever show it: no
 * low-power preset without a low position. A row that the sheet lacks is no proof of innocence while another
 * witness can be asked.
 */
function canShow(cause: Cause, sheet: ModelSheet, isWarm: boolean): boolean {
  const { needsRole, needsKind, lacksRoles, part, onlyCold } = cause
  const fitted = sheet.adjusters.filter(a => a.kind !== 'fixed-part')
  const hasPart =
    needsRole === undefined ||
    fitted.some(a => a.role === needsRole && (needsKind === undefined || a.kind === needsKind))
  const lacks = lacksRoles === undefined || !fitted.some(a => lacksRoles.includes(a.role))
  const isKind = part === undefined || kindHas(sheet.kind, part)
  const isPossible = hasPart && lacks && isKind && !(onlyCold && isWarm)
  return isPossible && canBeAsked(cause, sheet)
}

/** Its chief witness (named first), or any reading of its own part of the set. */
function canBeAsked(cause: Cause, sheet: ModelSheet): boolean {
  const [chief, ...others] = Object.keys(cause.shows).map(observableOf)
  if (!chief || answerable(chief, sheet)) return true
  return others.some(o => o.source.kind === 'readings' && o.domain === cause.domain && answerable(o, sheet))
}

/** Every frequency of the record was read after the time that a set of this kind takes to warm up. */
function wasWarm(rows: readonly RowState[], sheet: ModelSheet): boolean {
  const read = rows.filter(r => r.row && r.cells.some(c => c.latest && c.want.quantity === 'carrierHz'))
  return read.length > 0 && read.every(r => (r.row!.conditions.onTimeS ?? 0) >= kindInfo(sheet.kind).warmUpS)
}
