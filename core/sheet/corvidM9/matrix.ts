import { point, want } from '../build'
import type { Coverage, MeasurePoint } from '../modelSheet'
import { CORVID_M9_ADJUSTERS } from './adjusters'
import {
  DEPTH,
  DEVIATION,
  EXPANDED,
  FREQUENCY,
  HOME,
  POWER,
  S9,
  S9_V,
  SENSITIVITY,
  TONE,
  TWENTY,
  UK_TWENTY,
  am,
  fm,
} from './targets'

const STATE_WORDS: Readonly<Record<Coverage, string>> = { standard: 'home state', expanded: 'expanded state' }

const powerRows = (coverage: Coverage): MeasurePoint[] => [
  point(`fm-${coverage}`, `FM, ${STATE_WORDS[coverage]}`, fm.keyed(TWENTY, { coverage }), [
    want('carrierHz', FREQUENCY),
    want('powerW', POWER),
  ]),
  point(`am-${coverage}`, `AM, ${STATE_WORDS[coverage]}`, am.keyed(TWENTY, { coverage }), [
    want('powerW', POWER),
  ]),
]

/** Values of the menu are kept by each state for itself, so each is written down. */
const menuRows = (coverage: Coverage): MeasurePoint[] =>
  CORVID_M9_ADJUSTERS.map(a =>
    point(
      coverage === HOME ? `menu-${a.designator}` : `menu-${a.designator}-${coverage}`,
      `Menu ${a.designator}, ${STATE_WORDS[coverage]}`,
      am.receiving(null, 'as the set shows it, hexadecimal', { coverage }),
      [want('menuCode')],
    ),
  )

/** Outside first, in every mode and state; then every menu value, before the first change. */
export const CORVID_M9_MATRIX: readonly MeasurePoint[] = [
  ...powerRows(HOME),
  // Its power follows from entry P1, which is set on the other plan: the law alone bounds it.
  point('fm-uk', 'FM-UK, home state', fm.keyed(UK_TWENTY), [want('carrierHz', FREQUENCY), want('powerW')]),
  ...powerRows(EXPANDED),
  ...menuRows(HOME),
  ...menuRows(EXPANDED),
  point('fm-tone', 'FM, 1 kHz 30 mV', fm.keyed(TWENTY, TONE), [
    want('deviationPositiveHz', DEVIATION),
    want('deviationNegativeHz', DEVIATION),
  ]),
  point('am-tone', 'AM, 1 kHz 30 mV', am.keyed(TWENTY, TONE), [want('depthNegativeRatio', DEPTH)]),
  point('rx-fm', 'Receiver FM, 12 dB SINAD', fm.receiving(TWENTY, 'generator 1 kHz, 1.2 kHz deviation'), [
    want('sensitivityV', SENSITIVITY),
  ]),
  point('s9', 'Receiver, S-meter at 100 \u00b5V', am.receiving(TWENTY, null, { inputV: S9_V }), [
    want('sMeter', S9),
  ]),
]
