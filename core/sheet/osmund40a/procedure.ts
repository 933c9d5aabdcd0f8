import { dbToVoltageRatio } from '../../quantity'
import { point, want, within } from '../build'
import type { Step } from '../modelSheet'
import { DUMMY_LOAD, RF_BURN, STEP, WAX } from '../stepBase'
import {
  ADJACENT,
  AUDIBLE,
  CARRIER,
  DEPTH,
  DRIVE_V,
  FREQUENCY,
  HARMONIC,
  LEVEL_V,
  S9,
  S9_V,
  SINAD,
  TONE_HZ,
  VCO,
  keyed,
  receiving,
} from './targets'

const powerPoint = (channel: number, judged = true) =>
  point(`ch${channel}`, `Channel ${channel}`, keyed(channel), [
    want('powerW', judged ? CARRIER : null, judged),
  ])
const lockPoint = (id: string, title: string, channel: number, also: string) =>
  point(id, title, receiving(channel, also), [want('lockS', within(null, 1, 0.2))])
const depthPoint = (id: string, title: string, db: number) =>
  point(
    id,
    title,
    keyed(19, { toneHz: TONE_HZ, toneV: DRIVE_V * dbToVoltageRatio(db), also: 'microphone gain full' }),
    [want('depthNegativeRatio', DEPTH)],
  )

/**
 * The order of work for an AM mobile: lock and frequency, coils, carrier, then depth, which follows the
 * carrier.
 */
export const OSMUND_40A_PROCEDURE: readonly Step[] = [
  {
    ...STEP,
    id: 'A2.0',
    title: 'Warm-up',
    keyDownLimitS: null,
    cautions: ['First power with the current limit at 1.5 A. Check fuse and polarity first.'],
    instruction: 'Leave the set on until it has warmed up for 20 minutes.',
    why: 'Crystal and VCO drift most in the first minutes.',
    points: [point('warm', 'Time since power-on', receiving(null), [want('onTimeS', within(1200, null))])],
  },
  {
    ...STEP,
    id: 'A2.4',
    title: 'VCO voltage and lock',
    needs: ['A2.0'],
    adjusters: ['L1'],
    keyDownLimitS: null,
    cautions: ['An unlocked set must not transmit.', WAX],
    instruction:
      'Channel 1: set the VCO coil to the sheet\u2019s voltage at TP3. Then ' +
      'step through the channels and check that it locks everywhere.',
    why: 'In the middle of its range it locks on all forty, warm and cold. Re-wax afterwards.',
    points: [
      point('vco', 'TP3, channel 1', receiving(1, 'high-impedance meter on TP3'), [want('vcoV', VCO)]),
      lockPoint('to40', 'To channel 40', 40, 'from 1'),
      lockPoint('wrap', 'Wrap 40 to 1', 1, 'from 40, one step up'),
    ],
  },
  {
    ...STEP,
    id: 'A2.5',
    title: 'Frequency',
    needs: ['A2.4'],
    adjusters: ['C31'],
    cautions: [DUMMY_LOAD, 'Short keying with pauses: the final heats and drifts.'],
    instruction:
      'Channel 19, keyed, no tone. This set has a fixed capacitor in place of a trimmer. ' +
      'If the error is too large, ask the owner whether a trimmer may be fitted.',
    why: 'Service practice allows 200 Hz, the workshop 50 Hz; neither is audible on AM.',
    points: [point('ch19', 'Channel 19', keyed(19), [want('carrierHz', FREQUENCY)])],
  },
  {
    ...STEP,
    id: 'A2.6a',
    title: 'Power check before adjustment',
    needs: ['A2.4'],
    decides: true,
    criterion: { kind: 'spread', quantity: 'powerW', maxDb: 0.5 },
    instruction: 'Measure channels 1, 19 and 40 before any coil is moved.',
    why: 'If all three are within tolerance and equal, leave the coils: cores are waxed and break.',
    points: [powerPoint(1), powerPoint(19), powerPoint(40)],
  },
  {
    ...STEP,
    id: 'A2.6b',
    title: 'Peak drive and output coils',
    needs: ['A2.6a'],
    skipIf: 'A2.6a',
    adjusters: ['L4', 'L5', 'L6', 'L7', 'L8'],
    cautions: [DUMMY_LOAD, RF_BURN, WAX],
    criterion: { kind: 'peak', quantity: 'powerW', gainDb: 0.1 },
    instruction:
      'Channel 19. Peak the cores in order, past the peak and back. Take ' +
      'a reading after each pass. Stop when a pass gains less than 0.1 dB.',
    why: 'From the oscillator towards the antenna, since every stage needs the drive of the one before.',
    points: [powerPoint(19, false)],
  },
  {
    ...STEP,
    id: 'A2.6c',
    title: 'Balance 1, 19, 40',
    needs: ['A2.6b'],
    skipIf: 'A2.6a',
    adjusters: ['L7', 'L8'],
    cautions: [DUMMY_LOAD, RF_BURN],
    criterion: { kind: 'spread', quantity: 'powerW', maxDb: 0.5 },
    instruction:
      'Offset one coil towards the weak end and its neighbour towards the other until the three agree.',
    why: 'An over-peaked set transmits at one end of the band only.',
    points: [powerPoint(1, false), powerPoint(19, false), powerPoint(40, false)],
  },
  {
    ...STEP,
    id: 'A2.7',
    title: 'Carrier',
    needs: ['A2.6c'],
    adjusters: ['RV4'],
    cautions: [DUMMY_LOAD, RF_BURN],
    instruction: 'Channel 19, no tone. Set the carrier preset.',
    why:
      'A carrier above a quarter of what the final can reach leaves ' +
      'no room for the modulation and overheats the regulator.',
    points: [powerPoint(19)],
  },
  {
    ...STEP,
    id: 'A2.8',
    title: 'Depth',
    needs: ['A2.7'],
    adjusters: ['RV5'],
    cautions: [DUMMY_LOAD, 'Limiter parts first: refit any that are missing before setting the depth.'],
    instruction:
      '1 kHz at 30 mV, microphone gain full: set the preset. Then raise ' +
      'the drive by 10 and by 16 dB and check that the depth holds.',
    why:
      'Set the carrier first; depth is measured relative to ' +
      'it. The limiter has to hold it when somebody shouts.',
    points: [
      depthPoint('drive', 'Drive 30 mV', 0),
      depthPoint('up10', 'Drive +10 dB', 10),
      depthPoint('up16', 'Drive +16 dB', 16),
    ],
  },
  {
    ...STEP,
    id: 'A2.9',
    title: 'Spectrum and harmonic',
    needs: ['A2.8'],
    adjusters: ['L9'],
    cautions: [DUMMY_LOAD, 'Attenuator or sampler in front of the analyser.'],
    instruction:
      'Channel 19, 2.5 kHz tone: power in the adjacent ' +
      'channels. Then set the trap for minimum second harmonic.',
    why: 'More watts on the meter may be splatter.',
    points: [
      point('spectrum', 'Adjacent channel, second harmonic', keyed(19, { toneHz: 2500, toneV: DRIVE_V }), [
        want('adjacentDbc', ADJACENT),
        want('harmonicDbc', HARMONIC),
      ]),
    ],
  },
  {
    ...STEP,
    id: 'A2.10',
    title: 'Receiver',
    needs: ['A2.5'],
    adjusters: [],
    keyDownLimitS: null,
    cautions: ['Never key into the generator: disconnect it or use an attenuator.'],
    instruction: 'RF gain full, squelch open, noise blanker off. Audible threshold, then SINAD at 1 \u00b5V.',
    why:
      'A receiver found deaf after the transmitter is finished ' +
      'costs a second round. At the thermal limit, leave the cans.',
    points: [
      point('threshold', 'Audible threshold', receiving(19, 'generator 1 kHz AM 30 %'), [
        want('audibleV', AUDIBLE),
      ]),
      point('sinad', 'SINAD at 1 \u00b5V', receiving(19, 'generator 1 kHz AM 30 %', { inputV: LEVEL_V }), [
        want('sinadDb', SINAD),
      ]),
    ],
  },
  {
    ...STEP,
    id: 'A2.11a',
    title: 'Panel RF meter',
    needs: ['A2.7'],
    adjusters: ['RV1'],
    instruction: 'Channel 19, no tone. Set the preset until the panel meter agrees with the power meter.',
    why: 'The owner judges the set by this meter for years.',
    points: [
      point('panel', 'Panel meter', keyed(19, { also: 'read the set\u2019s own meter' }), [
        want('panelPowerW', {
          kind: 'like-reading',
          stepId: 'A2.7',
          quantity: 'powerW',
          lowRatio: 0.9,
          highRatio: 1.1,
        }),
      ]),
    ],
  },
  {
    ...STEP,
    id: 'A2.11b',
    title: 'S-meter',
    needs: ['A2.10'],
    adjusters: ['RV2'],
    keyDownLimitS: null,
    cautions: ['Never key into the generator.'],
    instruction: 'Generator at 100 \u00b5V: set the preset to S9.',
    why:
      'S9 is 100 µV in CB practice. A correct S-meter on ' +
      'a deaf receiver proves nothing: threshold first.',
    points: [
      point('s9', 'S-meter at 100 \u00b5V', receiving(19, 'RF gain full', { inputV: S9_V }), [
        want('sMeter', S9),
      ]),
    ],
  },
]
