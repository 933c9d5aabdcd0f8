import type { School } from './school'
import { BENCH_SCHOOLS } from './schoolsOfBench'
import { TRANSMITTER_SCHOOLS } from './schoolsOfTransmitter'

/** Every school there is; rows of the trade table, defaults reasoned there. */
export const SCHOOLS: readonly School[] = [...TRANSMITTER_SCHOOLS, ...BENCH_SCHOOLS]
