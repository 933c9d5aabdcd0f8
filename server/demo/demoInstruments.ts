import { randomUUID } from 'node:crypto'
import { BARE_INSTRUMENT } from '#shared/instrumentSetup'
import type { PracticeState } from '#shared/practice'
import { pool } from '../db/pool'
import { insertInstrument, selectInstruments } from '../db/queries/instrument'
import { pointInstruments } from '../services/simulatedInstruments'

const BY_HAND = [
  { name: 'RF generator', profileId: 'eye-generator' },
  { name: 'The set itself', profileId: 'eye-panel' },
  { name: 'Multimeter', profileId: 'eye-multimeter' },
  { name: 'In-line meter', profileId: 'eye-power-20' },
  { name: 'Communications test set', profileId: 'eye-test-set' },
] as const

/** Adds or re-points the simulated instruments, and on the first start those that are read by eye. */
export async function connectSimulatedBench(benchUrl: string): Promise<void> {
  const first = (await selectInstruments(pool)).length === 0
  await pointInstruments(pool, (await (await fetch(`${benchUrl}/state`)).json()) as PracticeState)
  if (!first) return
  for (const i of BY_HAND)
    await insertInstrument(pool, randomUUID(), { ...BARE_INSTRUMENT, ...i, host: '127.0.0.1', port: null })
}
