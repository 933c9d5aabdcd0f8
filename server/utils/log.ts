import pino from 'pino'

/** One structured line per event on standard output. */
export const log = pino({ base: { process: 'web' }, level: process.env.LOG_LEVEL ?? 'info' })
