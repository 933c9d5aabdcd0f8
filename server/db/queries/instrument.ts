import type { Instrument, InstrumentBody, OwnProfile } from '#shared/instrument'
import type { Db } from '../pool'

const COLUMNS = `id, version, name, profile_id as "profileId", host, port, meter_kind as "meterKind",
  calibrated_on as "calibratedOn",
  attenuation_db as "attenuationDb", path, full_scale as "fullScale", class_ratio as "classRatio",
    class_unknown as "classUnknown", own_profile as "ownProfile"`

const values = (i: InstrumentBody) => [
  i.name,
  i.profileId,
  i.host,
  i.port,
  i.meterKind,
  i.calibratedOn || null,
  i.attenuationDb,
  i.path,
  i.fullScale,
  i.classRatio,
  i.classUnknown,
]

export async function selectInstruments(db: Db): Promise<Instrument[]> {
  const { rows } = await db.query<Instrument>(`select ${COLUMNS} from instrument order by created_at, name`)
  return rows
}

export async function insertInstrument(db: Db, id: string, i: InstrumentBody): Promise<Instrument> {
  const {
    rows: [row],
  } = await db.query<Instrument>(
    `insert into instrument (id, name, profile_id, host, port, meter_kind, calibrated_on, attenuation_db,
      path, full_scale, class_ratio, class_unknown)
     values ($1::uuid, $2, $3, $4, $5::int, $6, $7::date, $8::float8, $9, $10::float8, $11::float8,
       $12::boolean) returning ${COLUMNS}`,
    [id, ...values(i)],
  )
  return row!
}

/**
 * @param version the change was made from
 * @returns null when there is no such instrument in that version
 */
export async function updateInstrument(
  db: Db,
  id: string,
  version: number,
  i: InstrumentBody,
): Promise<Instrument | null> {
  const {
    rows: [row],
  } = await db.query<Instrument>(
    `update instrument set name = $2, profile_id = $3, host = $4, port = $5::int, meter_kind = $6,
      calibrated_on = $7::date,
       attenuation_db = $8::float8, path = $9, full_scale = $10::float8, class_ratio = $11::float8,
         class_unknown = $12::boolean, version = version + 1
      where id = $1::uuid and version = $13::int returning ${COLUMNS}`,
    [id, ...values(i), version],
  )
  return row ?? null
}

/**
 * @param own null = as shipped again
 * @returns null when there is no such instrument in that version
 */
export async function updateOwnProfile(
  db: Db,
  id: string,
  version: number,
  own: OwnProfile | null,
): Promise<Instrument | null> {
  const {
    rows: [row],
  } = await db.query<Instrument>(
    `update instrument set own_profile = $2::jsonb, version = version + 1
      where id = $1::uuid and version = $3::int returning ${COLUMNS}`,
    [id, own ? JSON.stringify(own) : null, version],
  )
  return row ?? null
}

export async function selectInstrument(db: Db, id: string): Promise<Instrument | null> {
  const { rows } = await db.query<Instrument>(`select ${COLUMNS} from instrument where id = $1::uuid`, [id])
  return rows[0] ?? null
}

/** @returns whether it was there */
export async function deleteInstrument(db: Db, id: string): Promise<boolean> {
  const { rowCount } = await db.query('delete from instrument where id = $1::uuid', [id])
  return rowCount === 1
}
