/** Modes of emission that occur on this bench, by the names on the switch. */
export const MODES = ['AM', 'FM', 'USB', 'LSB', 'CW'] as const
export type Mode = (typeof MODES)[number]
