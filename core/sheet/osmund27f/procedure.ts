import type { Step } from '../modelSheet'
import { DUMMY_LOAD, RF_BURN, STEP } from '../stepBase'
import { DEVIATION, HIGH_POWER, LOW_POWER, TONE_HZ, keyed, point, receiving, want } from './targets'

const lockPoint = (id: string, title: string, channel: number, also: string) =>
  point(id, title, receiving(channel, also), [
    want('lockS', { kind: 'window', window: { low: null, high: 1, aim: 0.2 } }),
  ])

const powerPoint = (channel: number, target: typeof HIGH_POWER | null, judgeLimit = true) =>
  point(`ch${channel}`, `Channel ${channel}`, keyed(channel), [want('powerW', target, judgeLimit)])

/** The order of work for a three-crystal FM set; needs are the steps that must be current first. */
export const OSMUND_27F_PROCEDURE: readonly Step[] = [
  {
    ...STEP,
    id: 'A1.0',
    title: 'Warm-up',
    keyDownLimitS: null,
    cautions: ['First power with the current limit at 1.5 A. Check fuse and polarity first.'],
    instruction: 'Leave the set on until it has warmed up for 20 minutes.',
    why: 'Crystals drift most in the first minutes. A frequency set cold is wrong warm.',
    points: [
      point('warm', 'Time since power-on', receiving(null), [
        want('onTimeS', { kind: 'window', window: { low: 1200, high: null, aim: null } }),
      ]),
    ],
  },
  {
    ...STEP,
    id: 'A1.3',
    title: 'Reference 10.240 MHz',
    needs: ['A1.0'],
    adjusters: ['CT1'],
    keyDownLimitS: null,
    cautions: [
      'Buffered pin only: a probe on the crystal itself pulls it by tens of ppm.',
      'Clip the probe: a slip shorts the pin.',
    ],
    instruction:
      'Counter on pin 3 of IC2 from the solder side. Adjust the reference trimmer to 10.240 000 MHz.',
    why:
      'First, because the transmit trimmer can mask a wrong ' +
      'reference, which leaves the receiver off centre.',
    points: [
      point('pin', 'IC2 pin 3', receiving(null, 'counter on the reference pin'), [
        want('referenceHz', {
          kind: 'nominal-error',
          nominalHz: 10_240_000,
          lowHz: -20.48,
          highHz: 20.48,
          aimHz: 0,
        }),
      ]),
    ],
  },
  {
    ...STEP,
    id: 'A1.4',
    title: 'Lock on 1, 20, 40 and wrap',
    needs: ['A1.3'],
    keyDownLimitS: null,
    cautions: ['An unlocked set must not transmit.'],
    instruction: 'Step to channel 1, 20, 40 and from 40 on to 1. Watch the lock lamp and type the lock time.',
    why:
      'A fraction of a second is healthy, seconds are a ' +
      'fault. Do not adjust a VCO that locks everywhere.',
    points: [
      lockPoint('to1', 'To channel 1', 1, 'from 20'),
      lockPoint('to20', 'To channel 20', 20, 'from 1'),
      lockPoint('to40', 'To channel 40', 40, 'from 20'),
      lockPoint('wrap', 'Wrap 40 to 1', 1, 'from 40, one step up'),
    ],
  },
  {
    ...STEP,
    id: 'A1.5',
    title: 'Transmit frequency',
    needs: ['A1.3'],
    adjusters: ['CT2'],
    cautions: [DUMMY_LOAD, 'Mark the starting position first.'],
    instruction:
      'Channel 20, keyed, no tone. Adjust the right-hand trimmer ' +
      'until the counter reads a little above the channel.',
    why: 'Slightly high, because crystals mostly fall with age.',
    points: [
      point('ch20', 'Channel 20', keyed(20), [
        want('carrierHz', { kind: 'channel-error', lowHz: 0, highHz: 20, aimHz: 10 }),
      ]),
    ],
  },
  {
    ...STEP,
    id: 'A1.7',
    title: 'Power check before adjustment',
    needs: ['A1.4'],
    decides: true,
    criterion: { kind: 'spread', quantity: 'powerW', maxDb: 0.5 },
    instruction: 'Measure channels 1, 20 and 40 on high power before any coil is moved.',
    why: 'If all three are within tolerance and equal, leave the coils: cores are waxed and break.',
    points: [powerPoint(1, HIGH_POWER), powerPoint(20, HIGH_POWER), powerPoint(40, HIGH_POWER)],
  },
  {
    ...STEP,
    id: 'A1.8',
    title: 'Peak drive and output coils',
    needs: ['A1.7'],
    skipIf: 'A1.7',
    cautions: [DUMMY_LOAD, RF_BURN, 'Soften the wax and use the correct tool; cores split.'],
    adjusters: ['L1', 'L2', 'L3', 'L4', 'L5', 'L6', 'L7'],
    criterion: { kind: 'peak', quantity: 'powerW', gainDb: 0.1 },
    instruction:
      'Channel 20. Peak the cores in order, past the peak and back. Take ' +
      'a reading after each pass. Stop when a pass gains less than 0.1 dB.',
    why: 'From the oscillator towards the antenna, since every stage needs the drive of the one before.',
    points: [powerPoint(20, null, false)],
  },
  {
    ...STEP,
    id: 'A1.9',
    title: 'Balance 1, 20, 40',
    needs: ['A1.8'],
    skipIf: 'A1.7',
    cautions: [DUMMY_LOAD, RF_BURN],
    adjusters: ['L5', 'L6'],
    criterion: { kind: 'spread', quantity: 'powerW', maxDb: 0.5 },
    instruction:
      'Offset one coil towards the weak end and its ' + 'neighbour towards the other until the three agree.',
    why: 'An over-peaked set transmits at one end of the band only.',
    points: [powerPoint(1, null, false), powerPoint(20, null, false), powerPoint(40, null, false)],
  },
  {
    ...STEP,
    id: 'A1.10',
    title: 'High power',
    needs: ['A1.9'],
    adjusters: ['L7'],
    cautions: [DUMMY_LOAD, RF_BURN],
    instruction:
      'Channel 20. This set has no power preset: set the power with ' +
      'the output loading coil, then measure the balance again.',
    why: 'Not beyond: more than the rated power shortens life and spreads into adjacent channels.',
    points: [powerPoint(20, HIGH_POWER)],
  },
  {
    ...STEP,
    id: 'A1.11',
    title: 'Low power',
    needs: ['A1.10'],
    adjusters: ['RV1'],
    instruction: 'Power switch to low, channel 20. Set the preset to 10 dB below 4 W.',
    why: 'For high antennas. Use a meter range of 1 to 3 W.',
    points: [point('low', 'Channel 20, low', keyed(20, { lowPower: true }), [want('powerW', LOW_POWER)])],
  },
  {
    ...STEP,
    id: 'A1.13',
    title: 'Deviation',
    needs: ['A1.5'],
    adjusters: ['RV2'],
    instruction:
      'Channel 20, 1 kHz tone at the microphone socket. Raise its ' +
      'level until the deviation no longer grows, then set the preset.',
    why: 'Full limiting, both polarities, absolute maximum 2.5 kHz. A whistle is only a cross-check.',
    points: [
      point('tone', 'Channel 20, 1 kHz', keyed(20, { toneHz: TONE_HZ }), [
        want('deviationPositiveHz', DEVIATION),
        want('deviationNegativeHz', DEVIATION),
      ]),
    ],
  },
  {
    ...STEP,
    id: 'A1.15',
    title: 'Panel meter',
    needs: ['A1.10'],
    adjusters: ['RV3'],
    instruction:
      'Channel 20, high power. Set the preset until the panel ' +
      'meter agrees with the power meter. Type its reading.',
    why: 'The owner judges the set by this meter for years.',
    points: [
      point('panel', 'Panel meter', keyed(20, { also: 'read the set\u2019s own meter' }), [
        want('panelPowerW', {
          kind: 'like-reading',
          stepId: 'A1.10',
          quantity: 'powerW',
          lowRatio: 0.9,
          highRatio: 1.1,
        }),
      ]),
    ],
  },
]
