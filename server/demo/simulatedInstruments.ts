import { randomUUID } from 'node:crypto'
import type { PracticeState } from '../../shared/practice'
import { SIMULATED_PROFILES } from './simulatedProfiles'
import { pool } from '../db/pool'
import { insertInstrument, selectInstruments, updateInstrument } from '../db/queries/instrument'

const BY_HAND = [
  { name: 'RF generator', profileId: 'eye-generator' },
  { name: 'The set itself', profileId: 'eye-panel' },
  { name: 'Multimeter', profileId: 'eye-multimeter' },
  { name: 'Communications test set', profileId: 'eye-test-set' },
] as const

/** Adds or re-points the simulated instruments, and on the first start those that are read by eye. */
export async function connectSimulatedBench(benchUrl: string): Promise<void> {
  const bench = await (await fetch(`${benchUrl}/state`)).json() as PracticeState
  const known = await selectInstruments(pool)
  for (const { name, port, key } of bench.instruments) {
    const body = { name, profileId: SIMULATED_PROFILES[key]!, host: '127.0.0.1', port }
    const there = known.find(k => k.name === name)
    if (there) await updateInstrument(pool, there.id, body)
    else await insertInstrument(pool, randomUUID(), body)
  }
  if (known.length > 0) return
  for (const i of BY_HAND) await insertInstrument(pool, randomUUID(), { ...i, host: '127.0.0.1', port: null })
}
