import { point, want } from '../build'
import type { Step } from '../modelSheet'
import { DUMMY_LOAD, RF_BURN, STEP } from '../stepBase'
import {
  FULL_DRIVE,
  FULL_OUT,
  HARMONIC,
  IDLE,
  IMD3,
  INPUT_SWR,
  LOW_DRIVE,
  LOW_OUT,
  TEN,
  cw,
  usb,
} from './targets'

const RATED_LOAD = 'Dummy load rated for 150 W.'
const BERYLLIA = 'White ceramic of RF power devices: do not break, file or sand.'

/** Bias before drive, match before power, linearity before anything is handed over. */
export const BRANTWICK_DUO_PROCEDURE: readonly Step[] = [
  {
    ...STEP,
    id: 'D1.1',
    title: 'Bias of both devices',
    adjusters: ['RV1', 'RV2'],
    keyDownLimitS: 10,
    bias: { by: 'stage-current', devices: ['device 1', 'device 2'], stageV: 13.8, mostW: 10, tickA: null },
    cautions: [DUMMY_LOAD, 'Current limit 1.5 A, no drive.', BERYLLIA],
    instruction: 'Key without drive. Both presets at their lowest end, then 100 mA in each device.',
    why: 'Devices that idle apart do not share the peaks.',
    points: [1, 2].map(n =>
      point(`device-${n}`, `Idle current of device ${n}`, cw.keyed(null, { setting: 'no drive' }), [
        want('stageIdleA', IDLE),
      ]),
    ),
  },
  {
    ...STEP,
    id: 'D1.2',
    title: 'Input match',
    needs: ['D1.1'],
    adjusters: ['CT1'],
    cautions: [DUMMY_LOAD, RATED_LOAD],
    instruction: 'Half drive. Trim the input for the lowest SWR at the set.',
    why: 'A set that sees a bad match turns itself down, or gets hot.',
    points: [
      point('swr', 'Input SWR, half drive', cw.keyed(TEN, { setting: LOW_DRIVE }), [want('swr', INPUT_SWR)]),
    ],
  },
  {
    ...STEP,
    id: 'D1.3',
    title: 'Gain at half and at full drive',
    needs: ['D1.2'],
    cautions: [DUMMY_LOAD, RATED_LOAD, RF_BURN],
    instruction: 'Drive and output at half drive, then at full drive: the gain must be the same.',
    why: 'Less gain at the higher drive is compression: the peaks are cut first.',
    points: [
      point('half', 'Half drive', cw.keyed(TEN, { setting: LOW_DRIVE }), [
        want('drivePowerW', null, false),
        want('powerW', LOW_OUT),
      ]),
      point('full', 'Full drive', cw.keyed(TEN, { setting: FULL_DRIVE }), [
        want('drivePowerW', null, false),
        want('powerW', FULL_OUT),
        want('supplyA'),
      ]),
    ],
  },
  {
    ...STEP,
    id: 'D1.4',
    title: 'Two tones and harmonic',
    needs: ['D1.3'],
    cautions: [DUMMY_LOAD, RATED_LOAD, RF_BURN],
    instruction: 'Two tones from the set at full drive: products. Then a carrier: second harmonic.',
    why: 'Power in the neighbouring channels and on other bands is not output.',
    points: [
      point('two-tone', 'Two tones', usb.keyed(TEN, { setting: FULL_DRIVE, audio: 'two-tones' }), [
        want('pepW'),
        want('imd3Db', IMD3),
      ]),
      point('harmonic', 'Second harmonic', cw.keyed(TEN, { setting: FULL_DRIVE }), [
        want('harmonicDbc', HARMONIC),
      ]),
    ],
  },
]
