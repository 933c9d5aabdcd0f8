import type { Instrument, InstrumentBody } from '../../../shared/instrument'
import type { Db } from '../pool'

const COLUMNS = 'id, name, profile_id as "profileId", host, port'

export async function selectInstruments(db: Db): Promise<Instrument[]> {
  const { rows } = await db.query<Instrument>(`select ${COLUMNS} from instrument order by created_at, name`)
  return rows
}

export async function insertInstrument(db: Db, id: string, i: InstrumentBody): Promise<Instrument> {
  const { rows: [row] } = await db.query<Instrument>(`insert into instrument (id, name, profile_id, host, port) values ($1::uuid, $2, $3, $4, $5::int) returning ${COLUMNS}`, [id, i.name, i.profileId, i.host, i.port])
  return row!
}

/** @returns null when there is no such instrument */
export async function updateInstrument(db: Db, id: string, i: InstrumentBody): Promise<Instrument | null> {
  const { rows: [row] } = await db.query<Instrument>(`update instrument set name = $2, profile_id = $3, host = $4, port = $5::int where id = $1::uuid returning ${COLUMNS}`, [id, i.name, i.profileId, i.host, i.port])
  return row ?? null
}

/** @returns whether it was there */
export async function deleteInstrument(db: Db, id: string): Promise<boolean> {
  const { rowCount } = await db.query('delete from instrument where id = $1::uuid', [id])
  return rowCount === 1
}
