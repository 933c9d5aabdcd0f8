import { TWO_TONE_AVERAGE, TWO_TONE_MEAN } from '../../../instrument'
import { modulationOf, type SetState } from '../../../sheet'
import { found, middle, seen, windowOf } from '../cells'
import type { Observable } from '../observable'
import { between } from '../soft'

/** Mean against PEP of two tones is taken for what it comes near to within this (common practice). */
const TWO_TONE_SLACK = 0.03
/** A sideband further off than this is no matter of resolution [Hz]. */
const SIDEBAND_OFF_HZ = 40
/** Products at least so far below one tone (common practice) [dB]. */
const IMD_CLEAN_DB = 25

const hasTwoTones = (s: SetState) => modulationOf(s) === 'two-tones'
const ssb = { modes: ['USB', 'LSB'] } as const
const asked =
  (quantity: 'pepW' | 'carrierHz') =>
  (sheet: Parameters<NonNullable<Extract<Observable['source'], { kind: 'readings' }>['inSheet']>>[0]) =>
    sheet.matrix.some(
      p =>
        p.state.keyed &&
        (p.state.mode === 'USB' || p.state.mode === 'LSB') &&
        p.wants.some(w => w.quantity === quantity && w.target !== null),
    )

export const SIDEBAND_OBSERVABLES: readonly Observable[] = [
  {
    ...ssb,
    id: 'ssb-power',
    domain: 'power',
    question: 'PEP on SSB and its rating',
    healthy: 'right',
    outcomes: { none: 'almost none', low: 'low', right: 'normal', high: 'high' },
    source: {
      kind: 'readings',
      quantities: ['pepW'],
      inSheet: asked('pepW'),
      see: rows => {
        const pep = found(rows, 'pepW', s => s.keyed).find(windowOf)
        if (!pep) return null
        const { low, high } = windowOf(pep)!
        const name = between([high * 0.03, low * 0.95, high * 1.12], ['none', 'low', 'right', 'high'])
        return seen([pep], ([w]) => name(w!))
      },
    },
  },
  {
    ...ssb,
    id: 'stage-idle',
    domain: 'power',
    question: 'Idle current of the output stage',
    healthy: 'right',
    outcomes: { low: 'low', right: 'as stated on the sheet', high: 'high' },
    source: {
      kind: 'readings',
      quantities: ['stageIdleA'],
      see: rows => {
        const idle = middle(found(rows, 'stageIdleA', s => s.keyed))
        const window = idle && windowOf(idle)
        if (!idle || !window) return null
        const name = between([window.low * 0.97, window.high * 1.03], ['low', 'right', 'high'])
        return seen([idle], ([a]) => name(a!))
      },
    },
  },
  {
    ...ssb,
    id: 'sidebands',
    domain: 'frequency',
    question: 'Frequency of one tone on USB and on LSB',
    healthy: 'right',
    outcomes: { 'right': 'correct on both', 'one-off': 'off on one', 'both-off': 'off on both' },
    source: {
      kind: 'readings',
      quantities: ['carrierHz'],
      inSheet: asked('carrierHz'),
      see: rows => {
        const tones = found(rows, 'carrierHz', s => s.keyed && s.toneHz !== null).filter(
          f => f.cell.requirement.nominalHz !== null,
        )
        if (tones.length < 2) return null
        return seen(tones.slice(0, 2), hz => {
          const off = hz.filter(
            (v, i) => Math.abs(v - tones[i]!.cell.requirement.nominalHz!) > SIDEBAND_OFF_HZ,
          ).length
          if (off === 0) return 'right'
          return off === 1 ? 'one-off' : 'both-off'
        })
      },
    },
  },
  {
    ...ssb,
    id: 'two-tone',
    domain: 'modulation',
    question: 'Average power and PEP with two tones',
    healthy: 'half',
    outcomes: {
      below: 'clearly below half',
      average: 'about 0.41, as an average-responding meter shows two clean tones',
      half: 'half',
      above: 'above half',
    },
    source: {
      kind: 'readings',
      quantities: ['powerW', 'pepW'],
      inSheet: sheet => sheet.matrix.some(p => hasTwoTones(p.state)),
      see: rows => {
        // Voice has a law of its own: only rows with two tones are held against the half.
        const mean = found(rows, 'powerW', s => s.keyed && hasTwoTones(s))[0]
        const pep =
          mean &&
          found(
            rows,
            'pepW',
            s => s.keyed && s.mode === mean.state.mode && s.setting === mean.state.setting,
          )[0]
        if (!mean || !pep || pep.value <= 0) return null
        const edges = [TWO_TONE_AVERAGE, TWO_TONE_MEAN].flatMap(of => [
          of - TWO_TONE_SLACK,
          of + TWO_TONE_SLACK,
        ])
        const name = between(edges, ['below', 'average', 'below', 'half', 'above'])
        return seen([mean, pep], ([m, p]) => name(m! / Math.max(p!, 1e-9)))
      },
    },
  },
  {
    ...ssb,
    id: 'imd',
    domain: 'modulation',
    question: 'Third-order products with two tones',
    healthy: 'clean',
    outcomes: { poor: 'less than 25 dB below one tone', clean: 'clean' },
    source: {
      kind: 'readings',
      quantities: ['imd3Db'],
      see: rows => {
        const imd = found(rows, 'imd3Db', s => s.keyed)[0]
        return imd ? seen([imd], ([db]) => (db! < IMD_CLEAN_DB - 0.5 ? 'poor' : 'clean')) : null
      },
    },
  },
  {
    ...ssb,
    id: 'leak',
    domain: 'modulation',
    question: 'Carrier suppression on SSB',
    healthy: 'balanced',
    outcomes: { leaky: 'poor', balanced: 'suppressed' },
    source: {
      kind: 'readings',
      quantities: ['carrierLeakDb'],
      see: rows => {
        const leak = found(rows, 'carrierLeakDb', s => s.keyed)[0]
        const least = leak?.cell.requirement.window?.low
        return leak && least != null ? seen([leak], ([db]) => (db! < least - 1 ? 'leaky' : 'balanced')) : null
      },
    },
  },
]
