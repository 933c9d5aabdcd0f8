import { randomUUID } from 'node:crypto'
import type { PracticeState } from '../../shared/practice'
import { SIMULATED_PROFILES } from './simulatedProfiles'
import { pool } from '../db/pool'
import { BARE_INSTRUMENT, type Instrument } from '../../shared/instrument'
import { insertInstrument, selectInstruments, updateInstrument } from '../db/queries/instrument'

const BY_HAND = [
  { name: 'RF generator', profileId: 'eye-generator' },
  { name: 'The set itself', profileId: 'eye-panel' },
  { name: 'Multimeter', profileId: 'eye-multimeter' },
  { name: 'In-line meter', profileId: 'eye-power-20' },
  { name: 'Communications test set', profileId: 'eye-test-set' },
] as const

/** Adds or re-points the simulated instruments, and on the first start those that are read by eye. */
export async function connectSimulatedBench(benchUrl: string): Promise<void> {
  const bench = await (await fetch(`${benchUrl}/state`)).json() as PracticeState
  const known = await selectInstruments(pool)
  for (const { name, port, key } of bench.instruments) {
    const body = { name, profileId: SIMULATED_PROFILES[key]!, host: '127.0.0.1', port, ...BARE_INSTRUMENT }
    const there = known.find(k => k.name === name)
    if (there) await updateInstrument(pool, there.id, { ...body, ...setupFields(there) })
    else await insertInstrument(pool, randomUUID(), body)
  }
  if (known.length > 0) return
  for (const i of BY_HAND) await insertInstrument(pool, randomUUID(), { ...BARE_INSTRUMENT, ...i, host: '127.0.0.1', port: null })
}

/** What was said of an instrument stays when it is pointed at its port again. */
function setupFields({ meterKind, calibratedOn, attenuationDb, path, fullScale }: Instrument) {
  return { meterKind, calibratedOn, attenuationDb, path, fullScale }
}
