import { expect, it } from 'vitest'
import { healthyRig } from '../index'
import { receive } from './receive'
import { work } from './truth'

const FM = healthyRig('osmund-27f', 1)
const HALF_WIDTH_HZ = FM.parts.ifFilter.halfWidthHz

/** Loss of a generator beside the channel, through a filter whose middle lies elsewhere [dB]. */
function lossDb(besideHz: number, filterOffHz: number): number {
  const { f } = work(FM)
  const off = {
    ...FM,
    parts: { ...FM.parts, ifFilter: { halfWidthHz: HALF_WIDTH_HZ, centreHz: f.secondIfHz + filterOffHz } },
    stimulus: { ...FM.stimulus, inputHz: f.channelHz + besideHz },
  }
  const w = work(off)
  return receive(w.design, off, w.at, w.f).lossDb
}

it('a generator above the channel lands above the middle of the filter', () => {
  const least = lossDb(0, 0)
  expect(lossDb(1000, 1000)).toBeCloseTo(least, 9)
  // 2 kHz off its middle: 6 dB times the fourth power of a share of the half width.
  expect(lossDb(-1000, 1000) - least).toBeCloseTo(6 * (2000 / HALF_WIDTH_HZ) ** 4, 9)
  expect(lossDb(HALF_WIDTH_HZ, 0) - least).toBeCloseTo(6, 9)
})
