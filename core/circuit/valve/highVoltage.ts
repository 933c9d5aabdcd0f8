import { decay, type CircuitPart } from '../part'

/** Reservoir of a plate supply and the bleeder across it. */
export interface HighVoltage {
  readonly fullV: number
  readonly reservoirF: number
  readonly bleederOhm: number
  /** the bleeder broke: only the capacitor's own leakage is left [ohm] */
  readonly bleederOpen: boolean
}

/** Own leakage of an old electrolytic [ohm] (common practice). */
const LEAKAGE_OHM = 100e6
/** How fast the rectifier charges it [s]. */
const CHARGE_S = 0.3

/**
 * Plate voltage [V], charged while on, discharging by RC afterwards. Source: C45: 100 uF, 100 kohm: 10 s;
 * with the bleeder open for hours.
 */
export const highVoltage: CircuitPart<HighVoltage, { on: boolean }, number, { readonly volts: number }> = {
  kind: 'high voltage',
  rest: () => ({ volts: 0 }),
  respond: (_p, _input, { volts }) => volts,
  pass: (p, { on }, { volts }, dtS) => ({
    volts: on
      ? p.fullV + (volts - p.fullV) * decay(dtS, CHARGE_S)
      : volts * decay(dtS, p.reservoirF * (p.bleederOpen ? LEAKAGE_OHM : p.bleederOhm)),
  }),
}
