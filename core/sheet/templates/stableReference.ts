import { SIX_BANDS, bandChannel } from '../../rules'
import { point, statesIn, want, within } from '../build'
import { LARKFIELD_LX8_SCHEME } from '../larkfieldLx8/scheme'
import { LARKFIELD_LX8 } from '../larkfieldLx8/sheet'
import type { ModelSheet, Step } from '../modelSheet'
import { DUMMY_LOAD, STEP, UNKEYED_STEP, UNLOCKED } from '../stepBase'

const am = statesIn('AM')
const usb = statesIn('USB')
const lsb = statesIn('LSB')
const MIDDLE = bandChannel('D', 19)
const FREQUENCY = { kind: 'channel-error', lowHz: -20, highHz: 20, aimHz: 0 } as const
const sideband = (offsetHz: number) => ({ ...FREQUENCY, offsetHz })
const VCO = within(1.5, 7)
/** The board takes the place of what these pull. */
const REPLACED = ['CT1', 'L21', 'L22']
const LICENCE =
  'Coverage moved out of a CB plan is a licence matter; the type ' +
  'approval ends where one is required. Local regulation decides.'

const PROCEDURE: readonly Step[] = [
  {
    ...UNKEYED_STEP,
    id: 'A13.1',
    title: 'Frequency plan, warm-up',
    cautions: [LICENCE],
    instruction:
      'Write down the new frequency of the board: the old one plus the wanted shift divided ' +
      'by the multiplication after it, one offset per mode, every band. 20 minutes on.',
    why: 'A shift of 200 kHz is 200 kHz where the crystal is used once and 100 kHz where it is doubled.',
    points: [point('warm', 'Time since power-on', am.receiving(null), [want('onTimeS', within(1200, null))])],
  },
  {
    ...UNKEYED_STEP,
    id: 'A13.2',
    title: 'VCO over the new range',
    needs: ['A13.1'],
    adjusters: ['L19'],
    cautions: [UNLOCKED],
    instruction:
      'Lowest and highest channel of every band: control voltage ' +
      'within tolerance, locked everywhere, on receive and transmit.',
    why: 'The slope of the VCO shows how far it reaches; an unlocked set must not transmit.',
    points: [
      point('low', 'Lowest channel', am.receiving(bandChannel('A', 1), null, { coverage: 'expanded' }), [
        want('vcoV', VCO),
      ]),
      point('high', 'Highest channel', am.receiving(bandChannel('F', 40), null, { coverage: 'expanded' }), [
        want('vcoV', VCO),
      ]),
    ],
  },
  {
    ...UNKEYED_STEP,
    id: 'A13.3',
    title: 'Board in, crystal out',
    needs: ['A13.2'],
    cautions: ['Take a photo before lifting anything. Too high a level causes spurious signals.'],
    instruction:
      'Remove the crystal and its tuning. Feed the signal in at the common ' +
      'point after them, at the level of the crystal stage; board near, lead ' +
      'short, ground, supply decoupled. Then check the reference at its pin.',
    why: 'A long lead picks up and radiates.',
    points: [
      point('ref', 'Reference at its pin', am.receiving(null), [
        want('referenceHz', { kind: 'nominal-error', nominalHz: 10_240_000, lowHz: -5, highHz: 5, aimHz: 0 }),
      ]),
    ],
  },
  {
    ...STEP,
    id: 'A13.5',
    title: 'Mode lines and offsets',
    needs: ['A13.3'],
    cautions: [DUMMY_LOAD, 'Note the original values of the board before the first change.'],
    actions: [
      { kind: 'power-cycle', words: 'Off, wait, on: the board must start with its values.', reread: [] },
    ],
    instruction:
      'Find the lines that carry USB and LSB, let the board ' +
      'follow them, enter its offsets; one tone of 1 kHz.',
    why: 'The board must know the mode, or one sideband is off by hundreds of hertz.',
    points: [
      point('am', 'AM', am.keyed(MIDDLE), [want('carrierHz', FREQUENCY)]),
      point('usb', 'USB, 1 kHz', usb.keyed(MIDDLE, { toneHz: 1000 }), [
        want('carrierHz', sideband(1000), false),
      ]),
      point('lsb', 'LSB, 1 kHz', lsb.keyed(MIDDLE, { toneHz: 1000 }), [
        want('carrierHz', sideband(-1000), false),
      ]),
    ],
  },
  {
    ...STEP,
    id: 'A13.6',
    title: 'Every band',
    needs: ['A13.5'],
    cautions: [DUMMY_LOAD, LICENCE],
    instruction: 'Channel 19 of each band: frequency.',
    why: 'A setting for a sister model puts one band off.',
    points: SIX_BANDS.map(b =>
      point(
        `band-${b}`,
        `${b} 19`,
        am.keyed(bandChannel(b, 19), { coverage: b === 'D' ? 'standard' : 'expanded' }),
        [want('carrierHz', FREQUENCY, b === 'D')],
      ),
    ),
  },
  {
    ...STEP,
    id: 'A13.7',
    title: 'Coils over the bands',
    needs: ['A13.6'],
    adjusters: ['L40', 'L41', 'L43'],
    criterion: { kind: 'spread', quantity: 'pepW', maxDb: 1 },
    instruction:
      'USB, one tone, channel 19 of each band: peak, then ' +
      'offset for equal power. Then drift log and soak test.',
    why: 'A new range shifts the middle of the coils.',
    points: SIX_BANDS.map(b =>
      point(
        `pep-${b}`,
        `USB ${b} 19`,
        usb.keyed(bandChannel(b, 19), { toneHz: 1000, coverage: b === 'D' ? 'standard' : 'expanded' }),
        [want('pepW', null, false)],
      ),
    ),
  },
]

/** A multimode that is given a synthesised or temperature-compensated reference (A13). */
export const STABLE_REFERENCE: ModelSheet = {
  ...LARKFIELD_LX8,
  id: 'stable-reference',
  model: 'multimode with a stable reference',
  procedure: PROCEDURE,
  cautions: [...LARKFIELD_LX8.cautions, LICENCE],
  adjusters: LARKFIELD_LX8.adjusters.filter(a => !REPLACED.includes(a.designator)),
  scheme: {
    ...LARKFIELD_LX8_SCHEME,
    oscillators: LARKFIELD_LX8_SCHEME.oscillators.map(o =>
      o.adjuster !== null && REPLACED.includes(o.adjuster) ? { ...o, adjuster: null } : o,
    ),
  },
  owed: [
    {
      id: 'A13.8',
      title: 'Drift log and soak test with the new reference',
      why: 'the reason for fitting it',
    },
  ],
}
