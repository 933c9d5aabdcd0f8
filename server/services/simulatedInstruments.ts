import { randomUUID } from 'node:crypto'
import { BENCH_KITS } from '#core/practice/instruments'
import type { Instrument } from '#shared/instrument'
import { BARE_INSTRUMENT } from '#shared/instrumentSetup'
import type { PracticeState } from '#shared/practice'
import type { Db } from '../db/pool'
import {
  deleteInstrument,
  insertInstrument,
  selectInstruments,
  updateInstrument,
} from '../db/queries/instrument'

/**
 * Names that only simulated instruments bear; one of that name on another host, or read by eye, is somebody's
 * own.
 */
const KIT_NAMES = new Set(BENCH_KITS.flatMap(k => k.instruments.map(i => i.name)))
const LOOPBACK = '127.0.0.1'

/**
 * Makes the list of instruments match the simulated bench: its own are added or pointed at their ports, those
 * of another kit are taken away.
 */
export async function pointInstruments(db: Db, bench: Pick<PracticeState, 'instruments'>): Promise<void> {
  const known = await selectInstruments(db)
  for (const { name, port, profileId } of bench.instruments) {
    const body = { name, profileId, host: LOOPBACK, port, ...BARE_INSTRUMENT }
    const there = known.find(k => k.name === name)
    if (there) await updateInstrument(db, there.id, there.version, { ...body, ...setupFields(there) })
    else await insertInstrument(db, randomUUID(), body)
  }
  const here = new Set(bench.instruments.map(i => i.name))
  for (const other of known.filter(
    k => KIT_NAMES.has(k.name) && !here.has(k.name) && k.host === LOOPBACK && k.port !== null,
  ))
    await deleteInstrument(db, other.id)
}

/** What was said of an instrument stays when it is pointed at its port again. */
function setupFields({
  meterKind,
  calibratedOn,
  attenuationDb,
  path,
  fullScale,
  classRatio,
  classUnknown,
}: Instrument) {
  return { meterKind, calibratedOn, attenuationDb, path, fullScale, classRatio, classUnknown }
}
