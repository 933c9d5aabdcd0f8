import { planOf } from '../../../rules'
import type { RowState } from '../../../run'
import { kindHas, modulationOf, type ModelSheet, type SetState } from '../../../sheet'
import { found, isCarrier, isTone, middle, rated, seen, windowOf, type Found } from '../cells'
import type { Observable } from '../observable'
import { between } from '../soft'

/**
 * PEP over mean on voice as the shop's own pair of meters shows it (common practice: 2.3 to 2.7; beyond these
 * unbalanced).
 */
const ALL_PEAK = 5
const COMPRESSED = 1.5
/** A block that stands further off than this is programmed for another model [Hz]. */
const BLOCK_OFF_HZ = 1000

/** What a voice shows on the pair of meters when carrier and crest are in balance. */
const VOICE_RATIO = 2.5

const base = { modes: null } as const
const isVoice = (s: SetState) => s.keyed && modulationOf(s) === 'speech'
const hasCarrierOf = (mode: SetState['mode'], when: (sheet: ModelSheet) => boolean) => (sheet: ModelSheet) =>
  when(sheet) &&
  sheet.matrix.some(
    p => p.state.mode === mode && isCarrier(p.state) && p.wants.some(w => w.quantity === 'powerW'),
  )

interface VoicePair {
  readonly pep: Found
  readonly mean: Found
}

/** Of a set that is judged by what a voice shows: one that is read beside the others proves nothing. */
function voicePairs(all: readonly RowState[]): VoicePair[] {
  const rows = all.filter(r => !r.point.isOptional)
  const means = found(rows, 'powerW', isVoice).filter(m => m.value > 0)
  return found(rows, 'pepW', isVoice).flatMap(pep => {
    const mean = means.find(m => m.point.id === pep.point.id)
    return mean && pep.value > 0 ? [{ pep, mean }] : []
  })
}

/** What comes out beside the carrier, and what the output stage draws for it. */
export const OUTPUT_OBSERVABLES: readonly Observable[] = [
  {
    ...base,
    id: 'plate',
    domain: 'power',
    question: 'Plate current, tuned',
    healthy: 'right',
    outcomes: { low: 'low', right: 'as stated on the sheet', high: 'high' },
    source: {
      kind: 'readings',
      quantities: ['plateA'],
      see: rows => {
        const plate = middle(found(rows, 'plateA', isCarrier).filter(windowOf))
        if (!plate) return null
        const { low, high } = windowOf(plate)!
        const name = between([low, high], ['low', 'right', 'high'])
        return seen([plate], ([a]) => name(a!))
      },
    },
  },
  {
    ...base,
    id: 'gate',
    domain: 'power',
    question: 'Gate voltage of the final',
    healthy: 'right',
    everywhere: true,
    outcomes: { low: 'low', right: 'within tolerance', high: 'high' },
    source: {
      kind: 'readings',
      quantities: ['gateV'],
      see: rows => {
        const gate = middle(found(rows, 'gateV', () => true))
        const window = gate && windowOf(gate)
        if (!gate || !window) return null
        const name = between([window.low * 0.99, window.high * 1.01], ['low', 'right', 'high'])
        return seen([gate], ([v]) => name(v!))
      },
    },
  },
  {
    ...base,
    id: 'harmonic',
    domain: 'power',
    question: 'Second harmonic',
    healthy: 'clean',
    outcomes: { dirty: 'above the limit', clean: 'clean' },
    source: {
      kind: 'readings',
      quantities: ['harmonicDbc'],
      see: rows => {
        const harmonic = middle(found(rows, 'harmonicDbc', s => s.keyed))
        const most = harmonic && rated(harmonic)
        return harmonic && most != null
          ? seen([harmonic], ([db]) => (db! > most + 0.5 ? 'dirty' : 'clean'))
          : null
      },
    },
  },
  {
    ...base,
    id: 'adjacent',
    domain: 'modulation',
    question: 'Adjacent channels with tone',
    healthy: 'clean',
    outcomes: { dirty: 'above the limit', clean: 'clean' },
    source: {
      kind: 'readings',
      quantities: ['adjacentDbc'],
      see: rows => {
        const adjacent = middle(found(rows, 'adjacentDbc', s => s.keyed))
        const most = adjacent && rated(adjacent)
        return adjacent && most != null
          ? seen([adjacent], ([db]) => (db! > most + 0.5 ? 'dirty' : 'clean'))
          : null
      },
    },
  },
  {
    id: 'voice-balance',
    modes: ['AM', 'USB', 'LSB'],
    domain: 'modulation',
    question: 'PEP and average on voice',
    healthy: 'balanced',
    outcomes: {
      'compressed': 'nearly equal',
      'balanced': 'balanced',
      'all-peak': 'high peaks, almost no average',
    },
    source: {
      kind: 'readings',
      quantities: ['pepW', 'powerW'],
      inSheet: sheet => sheet.matrix.some(p => !p.isOptional && isVoice(p.state)),
      see: rows => {
        const pairs = voicePairs(rows)
        if (pairs.length === 0) return null
        const name = between([COMPRESSED, ALL_PEAK], ['compressed', 'balanced', 'all-peak'])
        // Every row on voice is looked at; the one furthest from balance speaks.
        const away = ({ pep, mean }: VoicePair) => Math.abs(Math.log(pep.value / mean.value / VOICE_RATIO))
        const { pep, mean } = pairs.reduce((a, b) => (away(b) > away(a) ? b : a))
        return seen([pep, mean], ([p, m]) => name(p! / Math.max(m!, 1e-9)))
      },
    },
  },
  {
    ...base,
    id: 'fm-power',
    domain: 'power',
    modes: ['FM'],
    question: 'FM carrier and its rating',
    healthy: 'right',
    outcomes: { none: 'no power', low: 'low', right: 'normal', high: 'high' },
    source: {
      kind: 'readings',
      quantities: ['powerW'],
      inSheet: hasCarrierOf('FM', s => s.main.mode !== 'FM'),
      see: (rows, sheet) => {
        const carrier =
          sheet.main.mode === 'FM'
            ? null
            : middle(found(rows, 'powerW', s => isCarrier(s) && s.mode === 'FM').filter(rated))
        const most = carrier && rated(carrier)
        if (!carrier || !most) return null
        const name = between([0.02, 0.86, 1.05], ['none', 'low', 'right', 'high'])
        return seen([carrier], ([w]) => name(w! / most))
      },
    },
  },
  {
    ...base,
    id: 'am-carrier',
    domain: 'power',
    modes: ['AM'],
    question: 'AM carrier and its mark',
    healthy: 'right',
    outcomes: { 'low': 'low', 'right': 'normal', 'high': 'high', 'far-high': 'about twice or more' },
    source: {
      kind: 'readings',
      quantities: ['powerW'],
      inSheet: hasCarrierOf('AM', s => s.main.mode !== 'AM'),
      see: (rows, sheet) => {
        const carrier =
          sheet.main.mode === 'AM'
            ? null
            : middle(found(rows, 'powerW', s => isCarrier(s) && s.mode === 'AM').filter(windowOf))
        if (!carrier) return null
        const { low, high } = windowOf(carrier)!
        const name = between([low * 0.97, high * 1.05, high * 1.8], ['low', 'right', 'high', 'far-high'])
        return seen([carrier], ([w]) => name(w!))
      },
    },
  },
  {
    ...base,
    id: 'vco',
    domain: 'frequency',
    question: 'VCO control voltage',
    healthy: 'inside',
    everywhere: true,
    outcomes: { 'inside': 'within tolerance', 'at-end': 'at the end of the range' },
    source: {
      kind: 'readings',
      quantities: ['vcoV'],
      see: rows => {
        const all = found(rows, 'vcoV', () => true).filter(windowOf)
        if (all.length === 0) return null
        return seen([all[0]!, all.at(-1)!], volts =>
          volts.some((v, i) => {
            const { low, high } = windowOf(i === 0 ? all[0]! : all.at(-1)!)!
            return v < low - 0.02 || v > high + 0.02
          })
            ? 'at-end'
            : 'inside',
        )
      },
    },
  },
  {
    id: 'blocks',
    modes: ['AM'],
    domain: 'frequency',
    question: 'Frequency error from band to band',
    healthy: 'alike',
    everywhere: true,
    outcomes: { 'alike': 'the same on all bands', 'one-off': 'one block off by a constant amount' },
    source: {
      kind: 'readings',
      quantities: ['carrierHz'],
      inSheet: sheet => planOf(sheet).names !== undefined && kindHas(sheet.kind, 'bands-in-memory'),
      see: (rows, sheet) => {
        if (!kindHas(sheet.kind, 'bands-in-memory')) return null
        const carriers = found(rows, 'carrierHz', s => isCarrier(s) && !isTone(s) && s.mode === 'AM').filter(
          f => f.cell.requirement.nominalHz !== null,
        )
        const middles = carriers.filter((_, i) => i % 3 === 1).slice(0, 5)
        if (middles.length < 3) return null
        return seen(middles, hz => {
          const errors = hz.map((v, i) => v - middles[i]!.cell.requirement.nominalHz!)
          return Math.max(...errors) - Math.min(...errors) > BLOCK_OFF_HZ ? 'one-off' : 'alike'
        })
      },
    },
  },
]
