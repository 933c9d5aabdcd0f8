import { within } from '../build'

/** Idle current of the MOSFET (model sheet). */
export const GATE_IDLE = within(0.09, 0.11, 0.1)
