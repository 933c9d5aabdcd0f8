import type { SetState } from './shape/measurePoint'

export type PowerAt = Pick<SetState, 'lowPower' | 'powerPosition'>

/** Whether the power control stands at its highest position: what a power without more words means. */
export const isFullPower = ({ lowPower, powerPosition }: PowerAt): boolean => !lowPower && !powerPosition

/** Whether it stands at its lowest position. */
export const isLeastPower = ({ lowPower, powerPosition }: PowerAt): boolean => lowPower && !powerPosition

/** Whether the power control stands alike in both. */
export const samePower = (a: PowerAt, b: PowerAt): boolean =>
  (a.powerPosition ?? '') === (b.powerPosition ?? '') && (!!a.powerPosition || a.lowPower === b.lowPower)

/** Whether the set stood under the same mode, coverage and controls; channel, key and audio apart. */
export const sameControls = (a: ControlsAt, b: ControlsAt): boolean =>
  a.mode === b.mode && samePower(a, b) && a.coverage === b.coverage && a.setting === b.setting

export type ControlsAt = PowerAt & Pick<SetState, 'mode' | 'coverage' | 'setting'>
