import { describe, expect, it } from 'vitest'
import { receiverTest } from './receiverTest'
import type { SetState } from './modelSheet'

const row = (mode: SetState['mode'], title: string) => ({
  title,
  state: { mode, setting: '' } as SetState,
  wants: [],
})

describe('how a receiver is tested', () => {
  it('is what is usual in the mode where the row says nothing', () => {
    expect(receiverTest(row('AM', 'Sensitivity'))).toEqual({
      modulation: { kind: 'am', depthRatio: 0.3 },
      criterion: 'signal-noise-10',
      bandwidthHz: 2400,
    })
    expect(receiverTest(row('FM', 'Sensitivity')).criterion).toBe('sinad-12')
  })
  it('is what the row says', () => {
    expect(receiverTest(row('FM', 'Sensitivity, 3 kHz deviation')).modulation).toEqual({
      kind: 'fm',
      deviationHz: 3000,
    })
    expect(receiverTest(row('AM', 'AM 60 % for 12 dB SINAD'))).toMatchObject({
      modulation: { depthRatio: 0.6 },
      criterion: 'sinad-12',
    })
  })
  it('telegraphy is narrower than speech, and the filter that a row names is taken', () => {
    expect(receiverTest(row('CW', 'Sensitivity')).bandwidthHz).toBe(250)
    expect(receiverTest(row('CW', 'Sensitivity, 500 Hz filter')).bandwidthHz).toBe(500)
    expect(receiverTest(row('USB', 'Sensitivity, 2.1 kHz filter')).bandwidthHz).toBe(2100)
  })
  it('a row of a sheet that was written in Spanish says it too', () => {
    expect(receiverTest(row('FM', 'Sensibilidad, desviación de 3 kHz')).modulation).toMatchObject({
      deviationHz: 3000,
    })
    expect(receiverTest(row('FM', 'Sensibilidad, 1,5 kHz de desviación')).modulation).toMatchObject({
      deviationHz: 1500,
    })
    expect(receiverTest(row('AM', 'AM al 60 %, 12 dB de SINAD'))).toMatchObject({
      modulation: { depthRatio: 0.6 },
      criterion: 'sinad-12',
    })
    expect(receiverTest(row('USB', 'Sensibilidad, filtro de 2,1 kHz')).bandwidthHz).toBe(2100)
    expect(receiverTest(row('CW', 'Sensibilidad, ancho de banda de 500 Hz')).bandwidthHz).toBe(500)
  })
  it('of AM and FM the sound behind the detector decides, not the filter', () => {
    expect(receiverTest(row('AM', 'Sensitivity, 6 kHz filter')).bandwidthHz).toBe(2400)
    expect(receiverTest(row('FM', 'Sensitivity, 15 kHz filter')).bandwidthHz).toBe(2400)
  })
})
