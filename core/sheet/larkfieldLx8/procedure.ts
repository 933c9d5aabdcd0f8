import { bandChannel } from '../../rules'
import { point, want, within } from '../build'
import type { Step } from '../modelSheet'
import { bandPowers, oneTone } from './rows'
import { DUMMY_LOAD, NEVER_KEY_GENERATOR, RF_BURN, STEP, UNKEYED_STEP, UNLOCKED, WAX } from '../stepBase'
import {
  ADJACENT,
  AM_DRIVE_V,
  AM_FREQUENCY,
  AUDIBLE,
  BIAS,
  CARRIER,
  CARRIER_LEAK,
  DEPTH,
  DEVIATION,
  HARMONIC,
  IMD3,
  MIDDLE,
  PEP,
  S9,
  S9_V,
  SSB_SENSITIVITY,
  TONE_HZ,
  TWO_TONES,
  VCO,
  am,
  fm,
  ssb,
} from './targets'

/**
 * The order of work for a multimode: frequency first and to the letter, bias before power, SSB before AM, AM
 * before FM.
 */
export const LARKFIELD_LX8_PROCEDURE: readonly Step[] = [
  {
    ...UNKEYED_STEP,
    id: 'A3.1',
    title: 'Warm-up',
    cautions: ['First power with the current limit at 1.5 A. Check fuse and polarity first.'],
    instruction: 'Leave the set on for 30 minutes, cover on.',
    why: 'SSB needs it: a set that still drifts 3 Hz/min cannot be aligned.',
    points: [point('warm', 'Time since power-on', am.receiving(null), [want('onTimeS', within(1800, null))])],
  },
  {
    ...UNKEYED_STEP,
    id: 'A3.3',
    title: 'VCO voltage',
    needs: ['A3.1'],
    adjusters: ['L19'],
    cautions: [UNLOCKED, WAX],
    instruction:
      'Lowest and highest channel of the coverage: the control voltage must stay within tolerance.',
    why: 'One coil moves all channels alike.',
    points: [
      point('low', 'A 1', am.receiving(bandChannel('A', 1), null, { coverage: 'expanded' }), [
        want('vcoV', VCO),
      ]),
      point('high', 'F 40', am.receiving(bandChannel('F', 40), null, { coverage: 'expanded' }), [
        want('vcoV', VCO),
      ]),
    ],
  },
  {
    ...STEP,
    id: 'A3.4',
    title: 'Reference, AM',
    needs: ['A3.3'],
    adjusters: ['CT1', 'L14'],
    instruction: 'AM, D 19, keyed, no tone: PLL trimmer to the channel.',
    why: 'Everything else depends on it. Keep to the order.',
    points: [
      point('am', 'AM D 19', am.keyed(MIDDLE, { also: 'clarifier at 12 o\u2019clock' }), [
        want('carrierHz', AM_FREQUENCY),
      ]),
    ],
  },
  {
    ...STEP,
    id: 'A3.5',
    title: 'USB and LSB offset',
    needs: ['A3.4'],
    adjusters: ['L15', 'L21', 'L16', 'L22'],
    instruction:
      'One tone of 1 kHz. Adjust the carrier oscillator of the mode, then ' +
      'its offset coil, until the tone is 1 kHz above or below the channel.',
    why:
      'A display or one sideband off by hundreds of hertz while ' +
      'AM is correct has its cause here, not in the reference.',
    points: [oneTone('USB'), oneTone('LSB')],
  },
  {
    ...STEP,
    id: 'A3.7',
    title: 'Bias of driver and finals',
    needs: ['A3.1'],
    adjusters: ['VR9', 'VR10', 'VR11'],
    keyDownLimitS: 10,
    cautions: [DUMMY_LOAD, 'Bias before any power: far too high a gate or base bias kills a new device.'],
    bias: { by: 'stage-current', devices: ['final 1', 'final 2'], stageV: 13.8, mostW: 10, tickA: null },
    instruction: 'USB, no drive. One device at a time, 50 mA each, both finals alike.',
    why: 'Too little causes crossover distortion, too much heat.',
    points: [1, 2].map(n =>
      point(
        `final-${n}`,
        `Idle current of final ${n}`,
        ssb.USB.keyed(MIDDLE, { setting: 'no drive', also: `meter in the lead of final ${n}` }),
        [want('stageIdleA', BIAS)],
      ),
    ),
  },
  {
    ...STEP,
    id: 'A3.8',
    title: 'Drive and output coils, balance over the bands',
    needs: ['A3.7', 'A3.4'],
    adjusters: ['L40', 'L41', 'L43'],
    cautions: [
      DUMMY_LOAD,
      RF_BURN,
      WAX,
      'Turns spread at the factory: note as a reminder, do not close them.',
    ],
    criterion: { kind: 'spread', quantity: 'pepW', maxDb: 1 },
    instruction: 'USB, one tone, channel 19 of each band: peak, then offset for equal power over all bands.',
    why: 'Peaked for one band, the others become deaf and weak.',
    points: bandPowers,
  },
  {
    ...STEP,
    id: 'A3.9',
    title: 'Carrier balance',
    needs: ['A3.5'],
    adjusters: ['VR6'],
    cautions: [DUMMY_LOAD, 'Attenuator or sampler in front of the analyser.'],
    instruction: 'USB, no audio: adjust for minimum carrier.',
    why: 'A carrier above a thousandth of PEP is heard as a whistle beside every word.',
    points: [
      point('leak', 'Carrier suppression', ssb.USB.keyed(MIDDLE, { setting: 'no audio' }), [
        want('carrierLeakDb', CARRIER_LEAK),
      ]),
    ],
  },
  {
    ...STEP,
    id: 'A3.10',
    title: 'SSB power and ALC',
    needs: ['A3.8'],
    adjusters: ['VR12'],
    cautions: [DUMMY_LOAD, RF_BURN],
    instruction:
      'Two tones, 30 mV peak: PEP to the rule set; average ' + 'half of it; third-order products 25 dB down.',
    why: 'Factory sets are often left flat-topping.',
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
    id: 'A3.11',
    title: 'AM carrier',
    needs: ['A3.10'],
    adjusters: ['VR13'],
    cautions: [DUMMY_LOAD, 'Full carrier left from SSB is dangerous: control down before AM is keyed.'],
    instruction: 'AM, D 19, no tone.',
    why: 'A quarter of the PEP at most, or there is no room for the modulation.',
    points: [point('am', 'AM D 19, carrier', am.keyed(MIDDLE), [want('powerW', CARRIER)])],
  },
  {
    ...STEP,
    id: 'A3.12',
    title: 'AM depth',
    needs: ['A3.11'],
    adjusters: ['VR14'],
    cautions: [DUMMY_LOAD, 'Check the limiter parts first.'],
    instruction: '1 kHz at 30 mV, microphone gain full.',
    why: 'Set the carrier first; depth is measured relative to it.',
    points: [
      point('tone', 'AM D 19, 1 kHz', am.keyed(MIDDLE, { toneHz: TONE_HZ, toneV: AM_DRIVE_V }), [
        want('depthNegativeRatio', DEPTH),
      ]),
    ],
  },
  {
    ...STEP,
    id: 'A3.13',
    title: 'FM deviation',
    needs: ['A3.11'],
    adjusters: ['VR15'],
    instruction: 'FM, 1 kHz at 30 mV.',
    why: 'Reduce sets that arrive far above.',
    points: [
      point('tone', 'FM D 19, 1 kHz', fm.keyed(MIDDLE, { toneHz: TONE_HZ, toneV: AM_DRIVE_V }), [
        want('deviationPositiveHz', DEVIATION),
        want('deviationNegativeHz', DEVIATION),
      ]),
    ],
  },
  {
    ...STEP,
    id: 'A3.14',
    title: 'Spectrum on AM and SSB',
    needs: ['A3.10', 'A3.12'],
    cautions: [DUMMY_LOAD, 'Attenuator or sampler in front of the analyser.'],
    instruction: 'AM with 2.5 kHz, USB with two tones: adjacent channels, second harmonic.',
    why: 'A bump on one mode only suggests the stage of that mode.',
    points: [
      point('am', 'AM', am.keyed(MIDDLE, { toneHz: 2500, toneV: AM_DRIVE_V }), [
        want('adjacentDbc', ADJACENT),
        want('harmonicDbc', HARMONIC),
      ]),
      point('ssb', 'USB, two tones', ssb.USB.keyed(MIDDLE, { setting: TWO_TONES, audio: 'two-tones' }), [
        want('adjacentDbc', ADJACENT),
      ]),
    ],
  },
  {
    ...UNKEYED_STEP,
    id: 'A3.15',
    title: 'Receiver, AM and both sidebands',
    needs: ['A3.5'],
    cautions: [NEVER_KEY_GENERATOR],
    instruction: 'Audible threshold on AM; 10 dB (S+N)/N on USB and LSB: equal on both.',
    why: 'Leave the cans if the sensitivity is at the thermal limit.',
    points: [
      point('am', 'AM', am.receiving(MIDDLE, 'generator 1 kHz AM 30 %'), [want('audibleV', AUDIBLE)]),
      point('usb', 'USB', ssb.USB.receiving(MIDDLE), [want('sensitivityV', SSB_SENSITIVITY)]),
      point('lsb', 'LSB', ssb.LSB.receiving(MIDDLE), [want('sensitivityV', SSB_SENSITIVITY)]),
    ],
  },
  {
    ...UNKEYED_STEP,
    id: 'A3.16',
    title: 'S-meter',
    needs: ['A3.15'],
    adjusters: ['VR2'],
    cautions: [NEVER_KEY_GENERATOR],
    instruction: 'Generator at 100 µV, AM: set the preset to S9.',
    why: 'Threshold first: a correct S-meter on a deaf receiver proves nothing.',
    points: [
      point('s9', 'S-meter at 100 \u00b5V', am.receiving(MIDDLE, null, { inputV: S9_V }), [
        want('sMeter', S9),
      ]),
    ],
  },
]
