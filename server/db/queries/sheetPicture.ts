import type { Db } from '../pool'

export interface SheetPicture {
  readonly id: string
  readonly mime: string
  readonly width: number
  readonly height: number
  readonly data: Buffer
}

/** Sent twice it is kept once. */
export async function insertSheetPicture(
  db: Db,
  { id, mime, width, height, data }: SheetPicture,
): Promise<void> {
  await db.query(
    `insert into sheet_picture (id, mime, width, height, data)
      values ($1::uuid, $2, $3::int, $4::int, $5::bytea) on conflict (id) do nothing`,
    [id, mime, width, height, data],
  )
}

export async function selectSheetPicture(db: Db, id: string): Promise<SheetPicture | null> {
  const {
    rows: [row],
  } = await db.query<SheetPicture>(
    'select id, mime, width, height, data from sheet_picture where id = $1::uuid',
    [id],
  )
  return row ?? null
}
