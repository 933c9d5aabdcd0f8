import { readFileSync } from 'node:fs'
import Ajv from 'ajv/dist/2020'
import Papa from 'papaparse'
import pg from 'pg'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { JobRecord } from '../../core/record'
import { QUANTITY_NAMES } from '../../core/quantity'
import { JOB_EVENT_KINDS } from '../../core/run'
import { fmRow } from '../fixtures/fmRow'
import { testHouse, type TestHouse } from './house'

let house: TestHouse
let finished: string
beforeAll(async () => {
  house = await testHouse()
  const jobs = (await house.request('GET', '/api/jobs')).body as { job: { id: string; number: number } }[]
  finished = jobs.find(j => j.job.number === 229)!.job.id
}, 240_000)
afterAll(() => house?.stop())

const table = async (path: string) =>
  Papa.parse<Record<string, string>>((await house.request('GET', path)).body as string, {
    header: true,
    skipEmptyLines: true,
  }).data

describe('JSON', () => {
  it('is what the published schema says', async () => {
    const schema = JSON.parse(readFileSync('docs/formats/job-record.schema.json', 'utf8')) as object
    const validate = new Ajv({ allErrors: true, strict: false, validateFormats: false }).compile(schema)
    const { body } = await house.request('GET', `/api/jobs/${finished}/record.json`)
    expect(validate(body), JSON.stringify(validate.errors?.slice(0, 3))).toBe(true)
    expect(validate({ ...(body as object), version: 2 })).toBe(false)
    expect(validate({ ...(body as object), extra: 1 })).toBe(false)
  })
  it('has a schema that names every quantity, unit and kind of event there is', () => {
    const schema = JSON.parse(readFileSync('docs/formats/job-record.schema.json', 'utf8')) as {
      $defs: { quantity: { enum: string[] } }
      properties: { events: { items: { properties: { kind: { enum: string[] } } } } }
    }
    expect([...schema.$defs.quantity.enum].sort()).toEqual([...QUANTITY_NAMES].sort())
    expect([...schema.properties.events.items.properties.kind.enum].sort()).toEqual(
      [...JOB_EVENT_KINDS].sort(),
    )
  })
  it('holds before and after of the finished demo set, all inside its rule set', async () => {
    const record = (await house.request('GET', `/api/jobs/${finished}/record.json`)).body as JobRecord
    const power = record.comparison.find(c => c.row === 'high-1' && c.quantity === 'powerW')!
    expect(power).toMatchObject({
      comparable: true,
      before: { verdict: 'below' },
      after: { verdict: 'inside' },
    })
    expect(record.steps.filter(s => !s.satisfied)).toEqual([])
    expect(record.openItems.filter(i => i.settled === null)).toEqual([])
    expect(record.ruleSet).toMatchObject({ id: 'R-UK27', fromMemory: true })
  })
})

describe('CSV', () => {
  it('has one line per reading, with conditions, unit and verdict', async () => {
    const { body } = await house.request('GET', `/api/jobs/${finished}/record.csv`)
    const { data, errors } = Papa.parse<Record<string, string>>(body as string, { header: true })
    expect(errors).toEqual([])
    const line = data.find(l => l.phase === 'as-left' && l.row === 'high-20' && l.quantity === 'powerW')!
    expect(line).toMatchObject({
      unit_si: 'W',
      channel: '20',
      low_power: 'false',
      verdict: 'inside',
      instrument: 'Power meter',
      struck_out: '',
    })
    expect(Number(line.value_si)).toBeGreaterThan(3.6)
    const record = (await house.request('GET', `/api/jobs/${finished}/record.json`)).body as JobRecord
    expect(data).toHaveLength(
      record.events.reduce((n, e) => n + (e.kind === 'row-taken' ? e.readings.length : 0), 0),
    )
  })
  it('of the whole workshop holds those of every real job, with its tag, model and serial number', async () => {
    const exercise = (
      await house.request('POST', '/api/practice/sessions', {
        id: crypto.randomUUID(),
        trainee: 'Runa',
        choice: 'prepared',
        designId: 'osmund-27f',
        difficulty: 1,
        lessonId: null,
        kitId: 'usual',
        seed: 27,
      })
    ).body as { jobId: string }
    const event = { ...fmRow(), id: crypto.randomUUID(), atMs: Date.now() }
    expect((await house.request('POST', `/api/jobs/${exercise.jobId}/events`, event)).status).toBe(201)
    const { jobs } = (await house.request('GET', '/api/search')).body as {
      jobs: { id: string; number: number; serial: string }[]
    }
    const expected = []
    for (const { id, number, serial } of jobs.toReversed().filter(j => j.id !== exercise.jobId))
      for (const line of await table(`/api/jobs/${id}/record.csv`))
        expected.push({ job: `W-${String(number).padStart(4, '0')}`, serial, ...line })
    expect(new Set(expected.map(line => line.job)).size).toBeGreaterThan(3)
    const all = await table('/api/readings.csv')
    expect(all.map(({ model, ...line }) => line)).toEqual(expected)
    expect(all.filter(line => !line.model)).toEqual([])
  })
  it('holds the readings of a job whose sheet is gone, unjudged, and those of all others', async () => {
    const before = await table('/api/readings.csv')
    const client = new pg.Client({ connectionString: house.cluster.adminUrl })
    await client.connect()
    const point = (revision: string) =>
      client.query(`update job set sheet_revision = ${revision} where id = $1`, [finished])
    await point('sheet_revision + 500')
    const after = await table('/api/readings.csv')
    await point('sheet_revision - 500')
    await client.end()
    const lost = after.filter(line => line.verdict === 'not judged')
    expect(new Set(lost.map(line => line.job))).toEqual(new Set(['W-0229']))
    expect(after.map(line => [line.job, line.value_si])).toEqual(
      before.map(line => [line.job, line.value_si]),
    )
  })
  it('does not hand a formula to a spreadsheet', async () => {
    const id = await house.newJob()
    const row = {
      kind: 'row-taken',
      id: crypto.randomUUID(),
      atMs: 1,
      phase: 'as-found',
      stepId: null,
      pointId: 'panel',
      conditions: {
        mode: 'FM',
        channel: 20,
        lowPower: false,
        toneHz: null,
        toneV: null,
        inputV: null,
        coverage: 'standard',
        setting: '',
        supplyV: null,
        load: '=cmd()',
        onTimeS: null,
      },
      readings: [
        {
          id: crypto.randomUUID(),
          quantity: 'panelPowerW',
          value: 3,
          standardUncertainty: null,
          source: 'typed',
          instrument: '@meter',
        },
      ],
    }
    expect((await house.request('POST', `/api/jobs/${id}/events`, row)).status).toBe(201)
    const { body } = await house.request('GET', `/api/jobs/${id}/record.csv`)
    expect(body).toContain("'=cmd()")
    expect(body).toContain("'@meter")
  })
})
