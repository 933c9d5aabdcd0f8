import { point, want } from '../build'
import type { MeasurePoint } from '../modelSheet'
import {
  FULL_DRIVE,
  FULL_OUT,
  HARMONIC,
  IDLE,
  IMD3,
  INPUT_SWR,
  LOW_DRIVE,
  LOW_OUT,
  SUPPLY,
  TEN,
  THROUGH,
  cw,
  usb,
} from './targets'

const idle = (device: number) =>
  point(
    `idle-${device}`,
    `Idle current of device ${device}`,
    cw.keyed(null, { setting: 'no drive', also: `meter in the lead of device ${device}` }),
    [want('stageIdleA', IDLE)],
  )

/** Through, at rest, at half and at full drive: gain by drive and output in one row. */
export const BRANTWICK_DUO_MATRIX: readonly MeasurePoint[] = [
  point('through', 'Switched off, 2.5 W through', cw.keyed(TEN, { setting: 'amplifier off' }), [
    want('drivePowerW', null, false),
    want('powerW', THROUGH, false),
  ]),
  idle(1),
  idle(2),
  point('half', '10 m, half drive', cw.keyed(TEN, { setting: LOW_DRIVE }), [
    want('drivePowerW', null, false),
    want('powerW', LOW_OUT),
    want('supplyA'),
  ]),
  point('full', '10 m, full drive', cw.keyed(TEN, { setting: FULL_DRIVE }), [
    want('drivePowerW', null, false),
    want('powerW', FULL_OUT),
    want('supplyV', SUPPLY),
    want('supplyA'),
  ]),
  point(
    'input',
    'Input SWR, full drive',
    cw.keyed(TEN, { setting: FULL_DRIVE, also: 'meter at the input' }),
    [want('swr', INPUT_SWR)],
  ),
  point('two-tone', '10 m, two tones', usb.keyed(TEN, { setting: FULL_DRIVE, audio: 'two-tones' }), [
    want('pepW'),
    want('imd3Db', IMD3),
  ]),
  point('harmonic', '10 m, second harmonic', cw.keyed(TEN, { setting: FULL_DRIVE }), [
    want('harmonicDbc', HARMONIC),
  ]),
]
