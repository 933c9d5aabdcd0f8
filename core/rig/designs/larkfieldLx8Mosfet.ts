import type { RigDesign } from '../rigDesign'
import { LARKFIELD_LX8_RIG } from './larkfieldLx8'

const { parts, adjusters, wiring } = LARKFIELD_LX8_RIG

/**
 * The LX-8 with its two finals replaced by one switching MOSFET (conversion A12): gate bias by its own preset
 * from a transmit-switched rail, more output from the same drive, and a gate capacitance that the drive coil
 * has to be peaked to again.
 */
export const LARKFIELD_LX8M_RIG: RigDesign = {
  ...LARKFIELD_LX8_RIG,
  id: 'larkfield-lx8m',
  name: 'Larkfield LX-8, MOSFET final',
  parts: {
    ...parts,
    bipolarBias: null,
    gateBias: { clampFitted: true, fullV: 5, thresholdV: 3, gainAPerV2: 0.5 },
    final: { ...parts.final, saturatedW: 26, idleA: 0.1, dcGain: 0 },
    regulator: { ...parts.regulator!, loadOhm: (13.8 ** 2 * parts.final.efficiency) / 26 },
  },
  adjusters: {
    ...Object.fromEntries(Object.entries(adjusters).filter(([d]) => d !== 'VR10' && d !== 'VR11')),
    RVG: { kind: 'preset', start: 0.69 },
    VR13: { kind: 'preset', start: 0.402 },
  },
  wiring: { ...wiring, bias: ['RVG'] },
}
