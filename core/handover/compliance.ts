import {
  absoluteLevel,
  absoluteLimits,
  channelHz,
  coversChannel,
  eachRuleSet,
  planOf,
  type AbsoluteLimit,
  type RuleLimit,
  type RuleSet,
  type Undecided,
  type Verdict,
} from '../rules'
import type { Quantity } from '../quantity'
import type { RunState } from '../run'
import { isLeastPower, isUnmodulated, sameControls, type ModelSheet } from '../sheet'
import { currentReadings, legalVerdict, type CurrentReading } from './evidence'

/** How one limit of the rule set stands. */
export interface LimitStanding {
  readonly id: string
  readonly limit: RuleLimit | AbsoluteLimit
  readonly outcome: Verdict | 'not-measured'
  /** why it cannot be decided; null = it is, or nothing was read */
  readonly undecided: Undecided | null
  /** row of the reading that decides it: the worst one; null = none was taken */
  readonly row: string | null
  /** how far that reading lies beyond its limit; null = it does not, or nothing was read */
  readonly distance: Distance | null
}

/** A reading beyond a bound [SI], or a level in dBm beyond a limit in watts. */
export type Distance =
  | {
      readonly kind: 'value'
      readonly quantity: Quantity
      readonly value: number
      readonly beyond: number
      /** of a frequency error, null = the value itself */
      readonly nominalHz: number | null
    }
  | { readonly kind: 'level'; readonly dbm: number; readonly overDb: number }

interface Judged {
  readonly verdict: Verdict
  readonly undecided: Undecided | null
  readonly row: string
  readonly distance: Distance | null
}

export interface Compliance {
  /**
   * met = each limit that applies to the set was measured and is met; outside = one is broken; not-shown =
   * neither
   */
  readonly kind: 'met' | 'outside' | 'not-shown' | 'no-legal-rules'
  readonly standings: readonly LimitStanding[]
  /** what the rule set asks beside, in words that this program does not judge */
  readonly notJudged: readonly string[]
}

/** The worst leads: one row that breaks a limit breaks it. */
const WORST: readonly LimitStanding['outcome'][] = ['above', 'below', 'cannot-tell', 'inside']

/** How a set stands by each rule set of its job: the one that was chosen, and those of single bands. */
export const compliances = (
  sheet: ModelSheet,
  rules: RuleSet,
  run: RunState,
): readonly (Compliance & { readonly rules: RuleSet })[] =>
  eachRuleSet(rules).map(each => ({ ...compliance(sheet, each, run), rules: each }))

/**
 * Whether a set leaves within its rule set, limit by limit, by the readings that are current now.
 *
 * A limit counts as met only if it was measured and is inside, uncertainty included; a limit that no current
 * reading speaks to is *not measured*, never met.
 */
export function compliance(sheet: ModelSheet, rules: RuleSet, run: RunState): Compliance {
  if (rules.kind !== 'legal') return { kind: 'no-legal-rules', standings: [], notJudged: [] }
  // Rows with the coverage opened, or on channels of another plan, are not what the rules are about.
  const readings = currentReadings(sheet, run).filter(
    r =>
      r.taken.row.conditions.coverage === 'standard' &&
      r.want.judgeLimit &&
      isCovered(sheet, rules, r.taken.row.conditions.channel),
  )
  const standings = [
    ...rules.limits.filter(l => applies(sheet, rules, l)).map(l => standing(sheet, rules, l, readings)),
    ...absolute(sheet, rules, readings),
  ]
  const isOutside = standings.some(s => s.outcome === 'above' || s.outcome === 'below')
  const isMet = standings.length > 0 && standings.every(s => s.outcome === 'inside')
  const otherwise = isMet ? 'met' : 'not-shown'
  const kind = isOutside ? 'outside' : otherwise
  return {
    kind,
    standings,
    notJudged: rules.alsoSays.filter(w => !standings.some(s => w.startsWith(`${s.id}:`))),
  }
}

function isCovered(sheet: ModelSheet, rules: RuleSet, channel: number | null): boolean {
  return channel === null || coversChannel(rules.planId, channelHz(planOf(sheet), channel))
}

/** A limit of a mode or of a switch position that the set does not have is none of its limits. */
function applies(sheet: ModelSheet, rules: RuleSet, { modes, lowPower }: RuleLimit): boolean {
  const rows = sheet.matrix.map(p => p.state).filter(s => isCovered(sheet, rules, s.channel))
  return (
    (modes === undefined || rows.some(s => modes.includes(s.mode))) &&
    (lowPower !== true || rows.some(isLeastPower))
  )
}

function standing(
  sheet: ModelSheet,
  rules: RuleSet,
  limit: RuleLimit,
  readings: readonly CurrentReading[],
): LimitStanding {
  const judged = readings
    .filter(r => r.want.quantity === limit.quantity && speaksOf(r, limit))
    .flatMap(r => {
      const found = legalVerdict(sheet, rules, r)
      if (found?.limit.rule.id !== limit.id) return []
      const { verdict, undecided, beyond } = found
      return [{ verdict, undecided, row: r.point.title, distance: distanceOf(sheet, r, beyond) }]
    })
  return worst(limit, judged)
}

function distanceOf(
  sheet: ModelSheet,
  { taken: { row, reading } }: CurrentReading,
  beyond: number | null,
): Distance | null {
  if (beyond === null) return null
  const { channel } = row.conditions
  const nominalHz =
    reading.quantity === 'carrierHz' && channel !== null ? channelHz(planOf(sheet), channel) : null
  return { kind: 'value', quantity: reading.quantity, value: reading.value, beyond, nominalHz }
}

/** A carrier is judged without modulation; modulated, the mean holds the sidebands too. */
function speaksOf({ taken, want }: CurrentReading, limit: RuleLimit): boolean {
  const at = taken.row.conditions
  if (want.quantity !== 'powerW' || limit.quantity !== 'powerW' || at.mode === 'FM') return true
  return isUnmodulated(at)
}

function absolute(sheet: ModelSheet, rules: RuleSet, readings: readonly CurrentReading[]): LimitStanding[] {
  const plan = planOf(sheet)
  const ofMain = channelHz(plan, sheet.main.fromChannel)
  const centreHz = [ofMain, ...plan.channelsHz].find(hz => coversChannel(rules.planId, hz)) ?? ofMain
  return absoluteLimits(rules, centreHz).map(limit => {
    const judged = readings
      .filter(r => r.want.quantity === limit.quantity)
      .flatMap(r => {
        const carrier = carrierOf(r, readings)
        if (!carrier || !(carrier.value > 0)) return []
        const { verdict, undecided, dbm, overDb } = absoluteLevel(r.taken.reading, carrier, limit)
        return [
          {
            verdict,
            undecided,
            row: r.point.title,
            distance: verdict === 'above' ? { kind: 'level' as const, dbm, overDb } : null,
          },
        ]
      })
    return worst(limit, judged)
  })
}

/** The carrier, or on SSB the PEP, that a level is below: of the same mode, channel and controls. */
export function carrierOf({ taken: { row } }: CurrentReading, readings: readonly CurrentReading[]) {
  const { mode, channel } = row.conditions
  const isSideband = mode === 'USB' || mode === 'LSB'
  const alike = readings.filter(
    ({
      taken: {
        row: { conditions: c },
      },
    }) => c.channel === channel && sameControls(c, row.conditions),
  )
  const found = alike.findLast(r =>
    isSideband
      ? r.want.quantity === 'pepW'
      : r.want.quantity === 'powerW' && (mode === 'FM' || isUnmodulated(r.taken.row.conditions)),
  )
  return found?.taken.reading ?? null
}

function worst(limit: RuleLimit | AbsoluteLimit, judged: readonly Judged[]): LimitStanding {
  const { id } = limit
  for (const outcome of WORST) {
    const found = judged.find(j => j.verdict === outcome)
    if (found) {
      const { undecided, row, distance } = found
      return { id, limit, outcome, undecided, row, distance }
    }
  }
  return { id, limit, outcome: 'not-measured', undecided: null, row: null, distance: null }
}
