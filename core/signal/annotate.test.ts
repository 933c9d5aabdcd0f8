import { describe, expect, it } from 'vitest'
import { findingsOf } from './annotate'
import type { Measurement } from './measurement'

const NOTHING = {
  durationS: 2,
  sampleRateHz: 250_000,
  carrier: null,
  am: null,
  fm: null,
  ssb: null,
  spectrum: null,
} as unknown as Measurement
const found = (part: object) => findingsOf({ ...NOTHING, ...part } as Measurement)

describe('what was found in a recording', () => {
  it('is nothing where nothing was measured', () => {
    expect(findingsOf(NOTHING)).toEqual([])
  })
  it('stands at its frequency for as long as it was measured', () => {
    const carrier = { frequencyHz: 27_185_020, offsetHz: 20, levelDbfs: -3.46 }
    expect(found({ carrier })).toEqual([
      {
        startSample: 0,
        sampleCount: 500_000,
        says: { code: 'figure.foundCarrier', values: { dbfs: '-3.5' } },
        lowHz: 27_185_020,
        highHz: 27_185_020,
      },
    ])
  })
  it('names the cut-off only where there is one, and where the carrier alone begins', () => {
    const am = { depthNegative: 0.843, pinchedRatio: 0, unmodulated: null }
    expect(found({ am })[0]!.says).toEqual({ code: 'figure.foundAm', values: { depth: '84.3' } })
    const cut = { ...am, depthNegative: 1, pinchedRatio: 0.12, unmodulated: { startS: 1.5 } }
    expect(found({ am: cut }).map(f => [f.says.code, f.startSample, f.sampleCount])).toEqual([
      ['figure.foundAmCutOff', 0, 500_000],
      ['figure.foundUnmodulated', 375_000, null],
    ])
  })
  it('names a sideband without products that were not measured', () => {
    const ssb = { sideband: 'USB', suppressedCarrierHz: 14_250_000, imd3DbBelowTone: null }
    expect(found({ ssb })[0]).toMatchObject({ says: { code: 'figure.foundSideband' }, lowHz: 14_245_000 })
    expect(found({ ssb: { ...ssb, imd3DbBelowTone: 31.26 } })[0]!.says.values).toEqual({
      sideband: 'USB',
      db: '31.3',
    })
  })
})
