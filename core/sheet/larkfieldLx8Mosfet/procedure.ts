import { SIX_BANDS, bandChannel, channelName, channelPlan } from '../../rules'
import { point, want, within } from '../build'
import type { Step } from '../modelSheet'
import {
  ADJACENT,
  AM_DRIVE_V,
  CARRIER,
  CARRIER_LEAK,
  DEPTH,
  DEVIATION,
  HARMONIC,
  IMD3,
  MIDDLE,
  PEP,
  TONE_HZ,
  TWO_TONES,
  am,
  fm,
  ssb,
} from '../larkfieldLx8/targets'
import { DUMMY_LOAD, RF_BURN, STEP, UNKEYED_STEP, WAX } from '../stepBase'
import { GATE_IDLE } from './targets'

const bandPowers = SIX_BANDS.map(band => {
  const channel = bandChannel(band, 19)
  return point(
    `pep-${band}`,
    `USB ${channelName(channelPlan('six-band'), channel)}, one tone`,
    ssb.USB.keyed(channel, { toneHz: TONE_HZ, coverage: band === 'D' ? 'standard' : 'expanded' }),
    [want('pepW', null, false)],
  )
})

/** After the conversion: bias first, then coils, then everything that follows from a new PEP. */
export const LARKFIELD_LX8M_PROCEDURE: readonly Step[] = [
  {
    ...UNKEYED_STEP,
    id: 'A12.0',
    title: 'Warm-up',
    cautions: ['First power with the current limit at 1.5 A. Check tab to chassis and the gate clamp first.'],
    instruction: 'Leave it on for 20 minutes.',
    why: 'Threshold and bias drift with temperature.',
    points: [point('warm', 'Time since power-on', am.receiving(null), [want('onTimeS', within(1200, null))])],
  },
  {
    ...STEP,
    id: 'A12.5',
    title: 'Gate bias from zero',
    needs: ['A12.0'],
    adjusters: ['VR9', 'RVG'],
    keyDownLimitS: 10,
    bias: { by: 'stage-current', devices: ['final'], stageV: 13.8, mostW: 15, tickA: null },
    cautions: [
      DUMMY_LOAD,
      'Watch the current: it rises suddenly at the threshold. Remove the meter before RF.',
    ],
    instruction: 'USB, no drive: raise the preset from its lowest end to 100 mA.',
    why: 'By current, not by a voltage copied from another set: thresholds differ by a volt.',
    points: [
      point('idle', 'Idle current', ssb.USB.keyed(MIDDLE, { setting: 'no drive' }), [
        want('stageIdleA', GATE_IDLE),
      ]),
    ],
  },
  {
    ...STEP,
    id: 'A12.6a',
    title: 'Coils again, balance over the bands',
    needs: ['A12.5'],
    adjusters: ['L40', 'L41', 'L43'],
    cautions: [DUMMY_LOAD, RF_BURN, WAX],
    criterion: { kind: 'spread', quantity: 'pepW', maxDb: 1 },
    instruction: 'USB, one tone, channel 19 of each band: peak, then offset for equal power.',
    why: 'The gate capacitance detunes the drive coil.',
    points: bandPowers,
  },
  {
    ...STEP,
    id: 'A12.6b',
    title: 'Harmonic',
    needs: ['A12.6a'],
    cautions: [DUMMY_LOAD, 'Attenuator or sampler in front of the analyser.'],
    instruction: 'AM, second harmonic.',
    why: 'A faster device produces more of them.',
    points: [point('h', 'AM D 19, carrier', am.keyed(MIDDLE), [want('harmonicDbc', HARMONIC)])],
  },
  {
    ...STEP,
    id: 'A12.7a',
    title: 'New PEP and ALC',
    needs: ['A12.6a'],
    adjusters: ['VR12'],
    cautions: [DUMMY_LOAD, RF_BURN],
    instruction: 'USB, two tones: PEP to the sheet; products 25 dB down.',
    why: 'A gain of 1 to 2 dB is usual. The rule set does not grow with it.',
    points: [
      point('two', 'USB, two tones', ssb.USB.keyed(MIDDLE, { setting: TWO_TONES, audio: 'two-tones' }), [
        want('pepW', PEP),
        want('powerW', null, false),
        want('imd3Db', IMD3),
      ]),
    ],
  },
  {
    ...STEP,
    id: 'A12.7b',
    title: 'Carrier suppression',
    needs: ['A12.7a'],
    adjusters: ['VR6'],
    instruction: 'USB, no audio: adjust for minimum carrier.',
    why: 'More gain also raises the residual carrier.',
    points: [
      point('leak', 'Carrier suppression', ssb.USB.keyed(MIDDLE, { setting: 'no audio' }), [
        want('carrierLeakDb', CARRIER_LEAK),
      ]),
    ],
  },
  {
    ...STEP,
    id: 'A12.7c',
    title: 'AM carrier',
    needs: ['A12.7a'],
    adjusters: ['VR13'],
    cautions: [DUMMY_LOAD, 'A carrier above a quarter of the PEP leaves no room for modulation.'],
    instruction: 'AM, D 19, no tone.',
    why: 'From the new PEP, by the same quarter.',
    points: [point('am', 'AM D 19, carrier', am.keyed(MIDDLE), [want('powerW', CARRIER)])],
  },
  {
    ...STEP,
    id: 'A12.7d',
    title: 'AM depth and spectrum',
    needs: ['A12.7c'],
    adjusters: ['VR14'],
    cautions: [DUMMY_LOAD, 'Check the limiter parts first.'],
    instruction: '1 kHz at 30 mV: depth. Then 2.5 kHz: adjacent channels.',
    why: 'Set the carrier first; depth is measured relative to it.',
    points: [
      point('tone', 'AM D 19, 1 kHz', am.keyed(MIDDLE, { toneHz: TONE_HZ, toneV: AM_DRIVE_V }), [
        want('depthNegativeRatio', DEPTH),
      ]),
      point('spectrum', 'AM D 19, 2.5 kHz', am.keyed(MIDDLE, { toneHz: 2500, toneV: AM_DRIVE_V }), [
        want('adjacentDbc', ADJACENT),
      ]),
    ],
  },
  {
    ...STEP,
    id: 'A12.8',
    title: 'FM carrier and deviation',
    needs: ['A12.7c'],
    adjusters: ['VR15'],
    instruction: 'FM, 1 kHz at 30 mV.',
    why: 'FM shares the regulator.',
    points: [
      point('tone', 'FM D 19, 1 kHz', fm.keyed(MIDDLE, { toneHz: TONE_HZ, toneV: AM_DRIVE_V }), [
        want('deviationPositiveHz', DEVIATION),
        want('deviationNegativeHz', DEVIATION),
      ]),
    ],
  },
]
