import { point, want, within } from '../build'
import type { Step } from '../modelSheet'
import { DUMMY_LOAD, NEVER_KEY_GENERATOR, RF_BURN, STEP, UNKEYED_STEP } from '../stepBase'
import { AUDIBLE, CARRIER, CHANNEL, DEPTH, FREQUENCY, RECOMMENDED, SUPPLY, TONE_HZ, am, usb } from './targets'

const RATED_LOAD = 'Dummy load and meter element rated for 700 W peaks: 4 W elements burn.'

/** High power: supply first, then the balance of carrier, mean and crest at one fixed mark. */
export const BRANTWICK_TALLIS60_PROCEDURE: readonly Step[] = [
  {
    ...UNKEYED_STEP,
    id: 'A5.0',
    title: 'Warm-up',
    cautions: ['First power with the current limit at 2 A. Check fuse, cable and terminals first: 50 A.'],
    instruction: 'Leave the set on for 20 minutes.',
    why: 'Frequency drifts most in the first minutes.',
    points: [point('warm', 'Time since power-on', am.receiving(null), [want('onTimeS', within(1200, null))])],
  },
  {
    ...STEP,
    id: 'A5.1',
    title: 'Supply and lead under load',
    needs: ['A5.0'],
    cautions: [DUMMY_LOAD, RATED_LOAD, 'Terminals and fuse hot: stop.'],
    instruction: 'Read the voltage at the set while it is keyed at the mark: 14.0 V, lead drop below 0.3 V.',
    why: 'At 50 A a thin lead limits the peaks.',
    points: [
      point('volts', 'At the mark', am.keyed(CHANNEL, { setting: RECOMMENDED }), [want('supplyV', SUPPLY)]),
    ],
  },
  {
    ...STEP,
    id: 'A5.2',
    title: 'Frequency',
    needs: ['A5.0'],
    cautions: [DUMMY_LOAD, RATED_LOAD],
    instruction: 'Minimum power, no tone.',
    why: 'Low power keeps it cool.',
    points: [point('f', 'Channel 19', am.keyed(CHANNEL), [want('carrierHz', FREQUENCY)])],
  },
  {
    ...STEP,
    id: 'A5.3',
    title: 'Carrier at the mark',
    needs: ['A5.1'],
    adjusters: ['RF POWER'],
    cautions: [DUMMY_LOAD, RATED_LOAD, RF_BURN],
    instruction: 'Raise the RF power control until the carrier is about 80 W. Mark the position.',
    why:
      'An eighth of the PEP keeps it cool. At a quarter ' +
      'the modulation still fits, but the heat is too much.',
    points: [
      point('carrier', 'AM carrier', am.keyed(CHANNEL, { setting: RECOMMENDED }), [want('powerW', CARRIER)]),
    ],
  },
  {
    ...STEP,
    id: 'A5.4',
    title: 'Balance with a tone',
    needs: ['A5.3'],
    adjusters: ['VR7'],
    cautions: [DUMMY_LOAD, RATED_LOAD],
    instruction: 'Depth with a 1 kHz tone first. Then voice: average, PEP and current together.',
    why: 'On voice, meters show more of their own errors than of the set.',
    points: [
      point('tone', 'AM, 1 kHz', am.keyed(CHANNEL, { setting: RECOMMENDED, toneHz: TONE_HZ }), [
        want('depthNegativeRatio', DEPTH),
        want('pepW'),
        want('powerW', null, false),
        want('supplyA'),
      ]),
    ],
  },
  {
    ...STEP,
    id: 'A5.6',
    title: 'SSB at the same mark',
    needs: ['A5.4'],
    cautions: [DUMMY_LOAD, RATED_LOAD],
    instruction: 'Voice on USB at the same position: PEP, average, current.',
    why: 'One fixed mark for both modes, so that nobody keys AM with the control fully up.',
    points: [
      point('ssb', 'USB, voice', usb.keyed(CHANNEL, { setting: RECOMMENDED, audio: 'speech' }), [
        want('pepW'),
        want('supplyA'),
      ]),
    ],
  },
  {
    ...UNKEYED_STEP,
    id: 'A5.7',
    title: 'Receiver',
    needs: ['A5.0'],
    cautions: [NEVER_KEY_GENERATOR],
    instruction: 'Audible threshold.',
    why: 'A strong transmitter needs a receiver to match.',
    points: [
      point('rx', 'Audible threshold', am.receiving(CHANNEL, 'generator 1 kHz AM 30 %'), [
        want('audibleV', AUDIBLE),
      ]),
    ],
  },
]
