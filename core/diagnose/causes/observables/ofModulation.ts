import { powerRatioToDb } from '../../../quantity'
import { found, isCarrier, isTone, middle, seen, type Found } from '../cells'
import type { Observable } from '../observable'
import { between, repeatable } from '../soft'

/** From here on the crest counts as flattened [dB] (C05: common practice). */
const FLAT_DB = 0.3

const am = { domain: 'modulation', modes: ['AM'] } as const
const fm = { domain: 'modulation', modes: ['FM'] } as const

export const MODULATION_OBSERVABLES: readonly Observable[] = [
  {
    ...am,
    id: 'depth',
    question: 'Depth at the full drive of the sheet',
    healthy: 'right',
    outcomes: { none: 'almost none', low: 'low', right: 'normal', over: 'over 100 %' },
    source: {
      kind: 'readings',
      quantities: ['depthNegativeRatio', 'depthPositiveRatio'],
      see: rows => {
        const [trough, crest] = [toneOf(rows, 'depthNegativeRatio'), toneOf(rows, 'depthPositiveRatio')]
        const name = between([0.15, 0.83, 0.995], ['none', 'low', 'right', 'over'])
        // Who reads one side only, reads the crest as often: a steady tone gives both alike until one is
        // clipped.
        if (!trough) return crest ? seen([crest], ([c]) => name(c!)) : null
        // A pinched-off trough cannot show more than 100 %: there the crest speaks.
        return seen(crest ? [trough, crest] : [trough], ([t, c]) =>
          name(t! > 0.97 ? Math.max(t!, c ?? 0) : t!),
        )
      },
    },
  },
  {
    ...am,
    id: 'depth-level',
    question: 'Depth when the drive is changed',
    healthy: 'held',
    outcomes: {
      held: 'held by the limiter',
      follows: 'follows the drive past 100 %',
      stuck: 'stays at one high value',
      rises: 'reaches its value only with much more drive',
    },
    source: {
      kind: 'readings',
      quantities: ['depthNegativeRatio'],
      see: rows => {
        const all = found(rows, 'depthNegativeRatio', isTone)
          .filter(f => f.state.toneV !== null)
          .sort((a, b) => a.state.toneV! - b.state.toneV!)
        const [down, top] = [all[0], all.at(-1)]
        const full = toneOf(rows, 'depthNegativeRatio')
        if (
          !down ||
          !top ||
          !full ||
          down.state.toneV === top.state.toneV ||
          down.state.toneV === full.state.toneV
        )
          return null
        return seen([down, full, top], ([d, f, t]) => {
          if (t! >= 0.985) return d! >= 0.9 ? 'stuck' : 'follows'
          return f! < 0.7 * t! ? 'rises' : 'held'
        })
      },
    },
  },
  {
    ...am,
    id: 'crest',
    question: 'Positive peak of the envelope, from PEP, carrier and depth',
    healthy: 'clean',
    outcomes: {
      clean: 'as expected for the depth',
      flat: 'flat-topped',
      over: 'higher than the depth explains',
    },
    source: {
      kind: 'readings',
      quantities: ['pepW', 'powerW', 'depthNegativeRatio', 'depthPositiveRatio'],
      see: rows => {
        const depth = toneOf(rows, 'depthNegativeRatio') ?? toneOf(rows, 'depthPositiveRatio')
        const [pep, carrier] = [toneOf(rows, 'pepW'), carrierOf(rows, toneOf(rows, 'pepW'))]
        if (!pep || !depth || !carrier || pep.value <= 0 || carrier.value <= 0) return null
        return seen(
          [pep, depth, carrier],
          ([p, m, c]) => {
            const missingDb = powerRatioToDb((Math.max(c!, 1e-6) * (1 + m!) ** 2) / Math.max(p!, 1e-6))
            if (missingDb > FLAT_DB) return 'flat'
            return missingDb < -0.8 ? 'over' : 'clean'
          },
          f => (f === depth ? f : repeatable(f)),
        )
      },
    },
  },
  {
    ...fm,
    id: 'deviation',
    question: 'Deviation with the tone at full limiting',
    healthy: 'right',
    outcomes: { none: 'almost none', low: 'low', right: 'normal', high: 'high' },
    source: {
      kind: 'readings',
      quantities: ['deviationPositiveHz'],
      see: rows => {
        const mid = middle(found(rows, 'deviationPositiveHz', isTone))
        const window = mid?.cell.requirement.window
        if (!mid || window?.low == null || window.high == null) return null
        const name = between(
          [window.low * 0.1, window.low * 0.93, window.high],
          ['none', 'low', 'right', 'high'],
        )
        return seen([mid], ([hz]) => name(hz!))
      },
    },
  },
  {
    ...fm,
    id: 'symmetry',
    question: 'Deviation up and down',
    healthy: 'even',
    outcomes: { even: 'equal', uneven: 'more than a tenth apart' },
    source: {
      kind: 'readings',
      quantities: ['deviationPositiveHz', 'deviationNegativeHz'],
      see: rows => {
        const [up, down] = [
          middle(found(rows, 'deviationPositiveHz', isTone)),
          middle(found(rows, 'deviationNegativeHz', isTone)),
        ]
        return (
          up &&
          down &&
          seen(
            [up, down],
            ([a, b]) => (Math.abs(a! - b!) > 0.1 * Math.max(a!, b!) ? 'uneven' : 'even'),
            f => repeatable(f, 0.01),
          )
        )
      },
    },
  },
]

/** The carrier that a tone rides on: same controls of the set. */
function carrierOf(rows: Parameters<typeof found>[0], tone: Found | null) {
  return middle(found(rows, 'powerW', s => isCarrier(s) && s.setting === tone?.state.setting))
}

/** The tone row of the middle channel at the full drive: levels above and below are rows of their own. */
function toneOf(rows: Parameters<typeof found>[0], quantity: Parameters<typeof found>[1]) {
  const withPep = rows.filter(r => r.cells.some(c => c.want.quantity === 'pepW'))
  return middle(found(withPep, quantity, isTone))
}
