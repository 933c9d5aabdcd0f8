import { point, want } from '../build'
import type { Coverage, MeasurePoint } from '../modelSheet'
import { CORVID_M6_ADJUSTERS } from './adjusters'
import {
  AUDIBLE,
  CHANNEL,
  COUNTRY_STATES,
  DEPTH_HIGH,
  DEPTH_LOW,
  DEVIATION,
  DRIVE_V,
  FREQUENCY,
  HIGH,
  LOW,
  S9,
  S9_V,
  SENSITIVITY,
  TONE_HZ,
  am,
  fm,
} from './targets'

/**
 * Modes differ although the rating is one figure, and each country state keeps separate values: every one is
 * measured.
 */
const rowsOf = (coverage: Coverage, lowPower: boolean): MeasurePoint[] => {
  const tag = `${coverage}-${lowPower ? 'low' : 'high'}`
  const words = `${lowPower ? 'low' : 'high'} power, ${coverage}`
  const power = want('powerW', lowPower ? LOW : HIGH)
  const state = { coverage, lowPower }
  return [
    point(`am-${tag}`, `AM carrier, ${words}`, am.keyed(CHANNEL, state), [
      want('carrierHz', FREQUENCY),
      power,
      ...(lowPower ? [] : [want('supplyV'), want('supplyA')]),
    ]),
    point(
      `am-tone-${tag}`,
      `AM 1 kHz 30 mV, ${words}`,
      am.keyed(CHANNEL, { ...state, toneHz: TONE_HZ, toneV: DRIVE_V }),
      [
        want('depthPositiveRatio'),
        want('depthNegativeRatio', lowPower ? DEPTH_LOW : DEPTH_HIGH),
        want('pepW'),
      ],
    ),
    point(`fm-${tag}`, `FM carrier, ${words}`, fm.keyed(CHANNEL, state), [
      want('carrierHz', FREQUENCY),
      power,
    ]),
    point(
      `fm-tone-${tag}`,
      `FM 1 kHz 30 mV, ${words}`,
      fm.keyed(CHANNEL, { ...state, toneHz: TONE_HZ, toneV: DRIVE_V }),
      [want('deviationPositiveHz', DEVIATION), want('deviationNegativeHz', DEVIATION)],
    ),
  ]
}

/**
 * Outside first, in every mode, power level and country state; then every menu value, written down before the
 * first change.
 */
export const CORVID_M6_MATRIX: readonly MeasurePoint[] = [
  ...COUNTRY_STATES.flatMap(coverage => [false, true].flatMap(lowPower => rowsOf(coverage, lowPower))),
  point(
    'threshold',
    'Receiver AM, audible threshold',
    am.receiving(CHANNEL, 'generator 1 kHz AM 30 %; squelch open'),
    [want('audibleV', AUDIBLE)],
  ),
  point('rx-fm', 'Receiver FM, 12 dB SINAD', fm.receiving(CHANNEL, 'generator 1 kHz, 1.2 kHz deviation'), [
    want('sensitivityV', SENSITIVITY),
  ]),
  point('s9', 'Receiver, S-meter at 100 \u00b5V', am.receiving(CHANNEL, null, { inputV: S9_V }), [
    want('sMeter', S9),
  ]),
  ...CORVID_M6_ADJUSTERS.map(a =>
    point(
      `menu-${a.designator}`,
      `Menu ${a.designator}: ${a.name}`,
      am.receiving(null, 'as the set shows it, hexadecimal'),
      [want('menuCode')],
    ),
  ),
]
