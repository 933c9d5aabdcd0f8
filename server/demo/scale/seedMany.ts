import pg from 'pg'
import { QUANTITIES, type Quantity } from '#core/quantity'
import { CAUSES } from '#core/diagnose'
import { planOf } from '#core/rules'
import { SHEETS, resolveTarget, type ModelSheet } from '#core/sheet'

/** Jobs that are made at a time: what one transaction holds. */
const BATCH = 5000
const PHASES = ['as-found', 'as-left'] as const

/** A number in [0, 1) that belongs to its arguments: the same house every time, whatever the plan. */
const HASH = `
  create or replace function pg_temp.r(i bigint, salt text) returns float8 language sql immutable as
  $$ select ('x' || substr(md5(i::text || salt), 1, 8))::bit(32)::bigint / 4294967296.0 $$`

const JOBS = `
  insert into job (id, owner, contact, sheet_id, sheet_revision, rule_set_id, serial, complaint,
    accessories, on_bench, created_at, promised_on)
  select md5('job' || i)::uuid, (array['Barge', 'Lorry', 'Brake van', 'Shed',
    'Lock'])[1 + floor(pg_temp.r(i, 'o') * 5)] || ' ' || (array['Heron', 'Coot', 'Grebe', 'Teal', 'Moorhen',
    'Dipper', 'Wigeon', 'Bittern'])[1 + floor(pg_temp.r(i, 'p') * 8)] || ' ' || i % 977,
    '', ($3::text[])[1 + floor(pg_temp.r(i, 's') * cardinality($3::text[]))], 1, 'R-UK27',
      (10000 + i * 7 % 60000)::text,
    (array['under 3 W on his meter', 'nobody hears him', 'deaf on the high channels',
      'splatters over three channels', 'drifts when warm',
      'meter stuck at full scale'])[1 + floor(pg_temp.r(i, 'c') * 6)] || ', since ' || (array['spring',
      'the move', 'a reversed lead', 'Easter', 'the flood'])[1 + floor(pg_temp.r(i, 'd') * 5)],
    'microphone', i > $4::bigint - 40, now() - (interval '1 hour' * ($4::bigint - i)), null
  from generate_series($1::bigint, $2::bigint) i`

const EVENTS = `
  insert into job_event (id, job_id, kind, at, body)
  select md5('event' || i || p.point || p.phase)::uuid, md5('job' || i)::uuid, 'row-taken',
    j.created_at + interval '1 minute' * p.ordinal,
    jsonb_build_object('phase', p.phase, 'stepId', null, 'pointId', p.point, 'conditions',
      jsonb_build_object('mode', 'FM', 'channel', 20, 'lowPower', false, 'toneHz', null, 'toneV', null,
      'inputV', null, 'coverage', 'standard', 'setting', '', 'supplyV', 13.8, 'load', 'dummy load',
      'onTimeS', 1800))
  from generate_series($1::bigint, $2::bigint) i join job j on j.id = md5('job' || i)::uuid and j.sheet_id = $3
  cross join unnest($4::text[], $5::text[], $6::int[]) as p (point, phase, ordinal)`

const READINGS = `
  insert into reading (id, event_id, ordinal, quantity, value_si, standard_uncertainty, source, instrument)
  select md5('reading' || i || c.point || c.phase || c.ordinal)::uuid,
    md5('event' || i || c.point || c.phase)::uuid, c.ordinal, c.quantity,
    c.typical * (1 + c.spread * (pg_temp.r(i, c.point || c.quantity || c.phase) - 0.5)),
      abs(c.typical) * 0.01, 'typed', 'Meter'
  from generate_series($1::bigint, $2::bigint) i join job j on j.id = md5('job' || i)::uuid and j.sheet_id = $3
  cross join unnest($4::text[], $5::text[], $6::int[], $7::text[], $8::float8[], $9::float8[]) as c (point,
    phase, ordinal, quantity, typical, spread)`

const WORDS = `
  insert into job_event (id, job_id, kind, at, body)
  select md5('note' || i)::uuid, md5('job' || i)::uuid, 'note', now(), jsonb_build_object('stepId', null,
    'text', (array['burnt track beside the regulator', 'core of L4 waxed in', 'brown glue under the coils',
    'nothing found', 'microphone plug loose'])[1 + floor(pg_temp.r(i,
    'n') * 5)] || ' ' || substr(md5(i::text), 1, 6))
  from generate_series($1::bigint, $2::bigint) i
  union all
  select md5('cause' || i)::uuid, md5('job' || i)::uuid, 'cause-confirmed', now(),
    jsonb_build_object('causeId', ($3::text[])[1 + floor(pg_temp.r(i, 'f') ^ 2 * cardinality($3::text[]))],
    'text', '')
  from generate_series($1::bigint, $2::bigint) i where pg_temp.r(i, 'g') < 0.6`

interface Cell {
  readonly point: string
  readonly phase: string
  readonly ordinal: number
  readonly quantity: Quantity
  readonly typical: number
  readonly spread: number
}

/**
 * A hundred thousand jobs with five million readings, made by hashing: the same every time.
 * @returns what was made
 */
export async function seedMany(url: string, jobs: number, say: (text: string) => void): Promise<void> {
  const db = new pg.Client({ connectionString: url })
  await db.connect()
  try {
    await db.query(HASH)
    const models = SHEETS.map(s => s.id)
    for (let from = 1; from <= jobs; from += BATCH) {
      const to = Math.min(jobs, from + BATCH - 1)
      await db.query('begin')
      await db.query(JOBS, [from, to, models, jobs])
      for (const sheet of SHEETS) await seedReadings(db, sheet, from, to)
      await db.query(WORDS, [from, to, CAUSES.map(c => c.id)])
      await db.query(
        `select index_jobs(array(select md5('job' || i)::uuid from generate_series($1::bigint, $2::bigint) i))`,
        [from, to],
      )
      await db.query('commit')
      say(`${to} jobs`)
    }
    await db.query('vacuum analyze')
  } finally {
    await db.end()
  }
}

async function seedReadings(db: pg.Client, sheet: ModelSheet, from: number, to: number): Promise<void> {
  const points = PHASES.flatMap(phase => sheet.matrix.map((p, i) => ({ point: p.id, phase, ordinal: i })))
  await db.query(EVENTS, [
    from,
    to,
    sheet.id,
    points.map(p => p.point),
    points.map(p => p.phase),
    points.map(p => p.ordinal),
  ])
  const cells = PHASES.flatMap(phase => cellsOf(sheet, phase))
  await db.query(READINGS, [
    from,
    to,
    sheet.id,
    cells.map(c => c.point),
    cells.map(c => c.phase),
    cells.map(c => c.ordinal),
    cells.map(c => c.quantity),
    cells.map(c => c.typical),
    cells.map(c => c.spread),
  ])
}

function cellsOf(sheet: ModelSheet, phase: string): Cell[] {
  return sheet.matrix.flatMap(p =>
    p.wants.map((want, ordinal) => {
      const target = want.target
        ? resolveTarget(want.target, planOf(sheet), p.state.channel, () => undefined)
        : null
      const middle = target?.window.aim ?? target?.window.high ?? target?.window.low ?? null
      const typical =
        middle ?? Math.min(Math.max(1, QUANTITIES[want.quantity].min), QUANTITIES[want.quantity].max)
      return {
        point: p.id,
        phase,
        ordinal,
        quantity: want.quantity,
        typical,
        spread: want.quantity.endsWith('Hz') && typical > 1e6 ? 2e-5 : 0.3,
      }
    }),
  )
}
