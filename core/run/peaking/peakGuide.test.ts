import { describe, expect, it } from 'vitest'
import { randomFrom, type Random } from '../../../test/fixtures/faults/random'
import { CORE_STOP_TURNS, tunedHz, tunedResponse } from '../../circuit'
import { modelSheet, stepOf } from '../../sheet'
import {
  NEW_GUIDE,
  PEAKED,
  generatorAdvice,
  guided,
  peakKey,
  peakLevel,
  peakQuantities,
  type PeakGuide,
  type PeakWord,
} from './index'

const RATE_HZ = 10
const MAX_S = 300
const CENTRE_HZ = 27_800_000
const lossDb = (q: number, turns: number) =>
  -10 *
  Math.log10(
    tunedResponse(q, tunedHz({ centreHz: CENTRE_HZ, q, inductancePerTurn: 0.036 }, turns), CENTRE_HZ),
  )

interface Peaked {
  readonly lossDb: number
  readonly seconds: number
  readonly movements: number
  readonly found: boolean
}

/**
 * A hand that does what it is told and overshoots 5 to 30 degrees, before a meter that lags 0.5 to 1 s,
 * scatters 0.05 dB and shows steps of 1 % of its scale.
 */
function byHand(r: Random): Peaked {
  const gauss = () => Math.sqrt(-2 * Math.log(r.within(1e-12, 1))) * Math.cos(2 * Math.PI * r.within(0, 1))
  const [q, lagS, step] = [r.within(20, 80), r.within(0.5, 1), r.within(1, 1.25) / 100]
  let turns = r.within(0.4, 1.8) * (r.chance(0.5) ? 1 : -1)
  // Nobody knows which way it is.
  let direction = r.chance(0.5) ? 1 : -1
  let needle = 10 ** (-lossDb(q, turns) / 10)
  let guide: PeakGuide = NEW_GUIDE
  let [t, movements, flats] = [0, 0, 0]
  const tick = (): PeakWord | null => {
    needle += (10 ** (-lossDb(q, turns) / 10) - needle) * (1 - Math.exp(-1 / RATE_HZ / lagS))
    t += 1 / RATE_HZ
    const looks = guide.looks.length
    guide = guided(guide, t, Math.round((needle * 10 ** ((0.05 * gauss()) / 10)) / step) * step)
    return guide.looks.length > looks ? guide.looks.at(-1)!.word : null
  }
  while (t < MAX_S) {
    const word = tick()
    if (word === null) continue
    if (word === 'stop') return { lossDb: lossDb(q, turns), seconds: t, movements, found: true }
    if (word === 'turn-back' || (word === 'flat' && flats++ % 3 === 0)) direction = -direction
    const small = guide.fine ? 2 : 25
    const degrees = (word === 'flat' ? 90 : small) + r.within(5, 30)
    for (let k = 0; k < 4; k++) {
      turns = Math.min(CORE_STOP_TURNS, Math.max(-CORE_STOP_TURNS, turns + (direction * degrees) / 360 / 4))
      tick()
    }
    movements++
  }
  return { lossDb: lossDb(q, turns), seconds: t, movements, found: false }
}

describe('a thousand coils peaked by hand', () => {
  const runs = Array.from({ length: 1000 }, (_, seed) => byHand(randomFrom(seed + 1)))
  const found = runs.filter(x => x.found)
  it('the place to stop is within 0.1 dB of the top in 99 of 100', () => {
    expect(runs.filter(x => x.found && x.lossDb <= 0.1).length).toBeGreaterThanOrEqual(990)
  })
  it('where it says stop it is never far off, and where it does not find it, it does not say stop', () => {
    expect(Math.max(...found.map(x => x.lossDb))).toBeLessThan(0.2)
    expect(runs.length - found.length).toBeLessThanOrEqual(10)
  })
  it('takes about a minute a coil', () => {
    expect(found.map(x => x.seconds).sort((a, b) => a - b)[Math.floor(found.length / 2)]).toBeLessThan(70)
  })
})

describe('what is said', () => {
  /** Words while the level is held at each value for 4 s. */
  const words = (...levels: number[]) => {
    let guide: PeakGuide = NEW_GUIDE
    let t = 0
    return levels.map(value => {
      for (let k = 0; k < 40; k++) guide = guided(guide, (t += 0.1), value)
      return guide.looks.at(-1)!.word
    })
  }
  it('rising goes on, falling turns back, the same height again stops', () =>
    expect(words(2, 3, 3.8, 3.95, 4, 3.9, 4)).toEqual([
      'go-on',
      'go-on',
      'go-on',
      'go-on',
      'go-on',
      'turn-back',
      'stop',
    ]))
  it('jumped over in one large step, it has to be crossed again', () =>
    expect(words(2, 4, 2.5, 3.9)).toEqual(['go-on', 'go-on', 'turn-back', 'touch']))
  it('one that rose and then no longer moves has reached its stop', () => {
    expect(words(2, 2.5, 3, 3.2, 3.2, 3.2, 3.2, 3.2).at(-1)).toBe('end')
    expect(words(2, 2.5, 3, 3.2, 3.2).at(-1)).toBe('go-on')
  })
  it('the same core on a dip, on amperes, on SINAD: the same words', () => {
    const dip = PEAKED.find(p => p.quantity === 'plateA')!
    const [sinad, probe] = [
      PEAKED.find(p => p.quantity === 'sinadDb')!,
      PEAKED.find(p => p.quantity === 'probeV')!,
    ]
    expect(words(...[0.2, 0.15, 0.13, 0.16].map(a => peakLevel(dip, a)))).toEqual([
      'go-on',
      'go-on',
      'go-on',
      'turn-back',
    ])
    expect(words(...[8, 10, 12, 9].map(db => peakLevel(sinad, db)))).toEqual([
      'go-on',
      'go-on',
      'go-on',
      'turn-back',
    ])
    expect(10 * Math.log10(peakLevel(probe, 2) / peakLevel(probe, 1))).toBeCloseTo(6.02, 2)
  })
  it('a core that does nothing is called flat', () =>
    expect(words(2, 2, 2, 2, 2, 2, 2, 2).at(-1)).toBe('flat'))
})

describe('what it is peaked on', () => {
  const names = (stepId: string, read: readonly string[], sheetId = 'osmund-27f') =>
    peakQuantities(stepOf(modelSheet(sheetId), stepId), q => read.includes(q)).map(p => p.quantity)
  it('the step\u2019s own first; while there is no output, current and probe; the receiver on its own', () => {
    expect(names('A1.8', ['powerW', 'supplyA', 'sinadDb'])).toEqual(['powerW', 'supplyA'])
    expect(names('A1.8', ['supplyA', 'probeV'])).toEqual(['supplyA', 'probeV'])
    expect(names('A9.1', ['powerW', 'sinadDb', 'agcV'], 'quillon-p7')).toEqual(['sinadDb', 'agcV'])
  })
  it('plate current is offered as dip and as maximum, each once, with its own name', () => {
    const offered = peakQuantities(stepOf(modelSheet('quillon-hb150'), 'A6.3'), q => q === 'plateA')
    expect(offered.map(peakKey)).toEqual(['plateA smallest', 'plateA largest'])
    const [dip, most] = offered
    expect(peakLevel(dip!, 0.08)).toBeGreaterThan(peakLevel(dip!, 0.1))
    expect(peakLevel(most!, 0.08)).toBeLessThan(peakLevel(most!, 0.1))
  })
  it('the generator follows the set down', () => {
    expect([
      generatorAdvice('sinadDb', 25),
      generatorAdvice('sinadDb', 12),
      generatorAdvice('sMeter', 7),
      generatorAdvice('powerW', 100),
    ]).toEqual([10, null, 10, null])
  })
})
