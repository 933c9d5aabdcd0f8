import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { JobEvent } from '../../core/run'
import type { EarlierJob } from '../../shared/earlierJob'
import type { Job } from '../../shared/job'
import { command } from './command'
import { testHouse, type TestHouse } from './house'

/** A table that somebody kept before there was Diapason, taken in. */
let house: TestHouse
const folder = mkdtempSync(join(tmpdir(), 'diapason-table-'))
beforeAll(async () => void (house = await testHouse({ demo: false })), 240_000)
afterAll(async () => {
  await house?.stop()
  rmSync(folder, { recursive: true, force: true })
})

function imported(lines: readonly string[], ...more: string[]) {
  const file = join(folder, 'old.csv')
  // As a spreadsheet of that time writes it.
  writeFileSync(file, Buffer.from(lines.join('\r\n'), 'latin1'))
  return command('import', [file, ...more], { DATABASE_URL: house.cluster.adminUrl, LC_ALL: 'C.UTF-8' })
}
const HEAD = 'Owner;Model;Serial;Received;Returned;Complaint;Note;Phase;Mode;Channel;Power;Quantity;Value'
const TABLE = [
  HEAD,
  'Barge Heron;Osmund 27F;40622;2019-04-30;2019-05-03;d\u00e9bil;paid in fish;as-found;FM;20;high;Potencia media;2,9 W',
  'Barge Heron;Osmund 27F;40622;2019-04-30;2019-05-03;;;as-left;FM;20;high;powerW;3,8 W',
  'Barge Heron;Osmund 27F;40622;2019-04-30;2019-05-03;;;as-left;FM;7;high;powerW;3,7 W',
  'Barge Coot;Osmund 28;1;2019-04-30;2019-05-03;;;;;;;;',
  'Barge Coot;Osmund 27F;2;2018-01-02;2018-01-03;;;as-found;;;;powerW;full',
]
const jobs = async () =>
  ((await house.request('GET', '/api/search?state=away')).body as { jobs: { id: string; number: number }[] })
    .jobs

describe('A table of old records', () => {
  it('is told first with what would be done and what could not be read; nothing is changed', async () => {
    const { status, said } = await imported(TABLE)
    expect([status, said]).toEqual([0, expect.stringContaining('Nothing was changed')])
    expect(said).toMatch(
      /W-0001 {2}Osmund 27F 40622, 2019-04-30, Barge Heron: 2 readings in rows .*, 1 in a note/,
    )
    expect(said).toContain('row 5: model "Osmund 28" is not known here')
    expect(said).toContain('row 6: value "full" is no value of this quantity')
    expect(said).toContain('1 visits are new, 0 are here already, 2 problems')
    expect(await jobs()).toEqual([])
  })

  it('becomes jobs that were handed over, with what was written down and nothing else', async () => {
    expect((await imported(TABLE, '--yes')).status).toBe(0)
    const { id } = (await jobs())[0]!
    const { job, events } = (await house.request('GET', `/api/jobs/${id}`)).body as {
      job: Job
      events: JobEvent[]
    }
    expect(job).toMatchObject({ number: 1, owner: 'Barge Heron', complaint: 'd\u00e9bil', onBench: false })
    expect(events.map(e => e.kind)).toEqual(['note', 'note', 'note', 'row-taken', 'row-taken', 'handed-over'])
    expect(events[0]).toMatchObject({ text: expect.stringContaining('noon stands for them') as string })
    expect(events[2]).toMatchObject({
      text: expect.stringContaining('as-left: FM, 7, high, powerW, 3,7 W') as string,
    })
    expect(events[3]).toMatchObject({
      phase: 'as-found',
      pointId: 'high-20',
      conditions: { supplyV: null, toneHz: null, load: '' },
      readings: [{ quantity: 'powerW', value: 2.9, source: 'typed', standardUncertainty: null }],
    })
    expect((await fetch(`${house.address}/api/jobs/${id}/handover.pdf`)).status).toBe(200)
    const checked = await command('check', [], { DATABASE_URL: house.cluster.adminUrl })
    expect([checked.status, checked.said]).toEqual([0, expect.stringContaining(': whole.')])
  })

  it('is known when the set comes again, and the next job has the next number', async () => {
    const earlier = (await house.request('GET', '/api/jobs/earlier?sheetId=osmund-27f&serial=40622'))
      .body as EarlierJob[]
    expect(earlier[0]).toMatchObject({ job: { number: 1 }, handedOverAtMs: Date.parse('2019-05-03T12:00Z') })
    expect(earlier[0]!.asLeft).toMatchObject([{ quantity: 'powerW', value: 3.8 }])
    const { job } = (await house.request('GET', `/api/jobs/${await house.newJob()}`)).body as { job: Job }
    expect(job.number).toBe(2)
  })

  it('taken in again is here already; a row that was mended comes in then', async () => {
    const mended = [...TABLE.slice(0, 4), TABLE[5]!.replace('full', '4')]
    const { said } = await imported(mended, '--yes')
    expect(said).toContain('40622, 2019-04-30, Barge Heron: is here already as W-0001')
    expect(said).toContain('1 visits are new, 1 are here already, 0 problems')
    expect((await jobs()).map(j => j.number)).toEqual([3, 1])
  })

  it('that is none is refused with the headings that it needs', async () => {
    const { status, said } = await imported(['Name;Set', 'Heron;27F'], '--yes')
    expect([status, said]).toEqual([
      1,
      expect.stringMatching(/has no owner, model, serial, received, returned[\s\S]*Nothing was changed/),
    ])
  })

  it('with what cannot be kept is told by its rows, and the rest is taken', async () => {
    const long = 'x'.repeat(201)
    const { said } = await imported(
      [
        HEAD,
        `${long};Osmund 27F;5;2018-01-02;2018-01-03;;;;;;;;`,
        'Barge Teal;Osmund 27F;6;2018-01-02;2018-01-03;;;;;;;;',
      ],
      '--yes',
    )
    expect(said).toMatch(/rows 2: .*200/)
    expect(said).toContain('1 visits are new, 0 are here already, 1 problems')
  })
})
