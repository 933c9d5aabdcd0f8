import { randomUUID } from 'node:crypto'
import pg from 'pg'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { JobRecord } from '../../core/record'
import type { HandoverIssue } from '../../shared/handoverIssue'
import { command as given } from './command'
import { testHouse, type TestHouse } from './house'

let house: TestHouse
let jobId: string
beforeAll(async () => {
  house = await testHouse()
  const jobs = (await house.request('GET', '/api/jobs')).body as { job: { id: string; number: number } }[]
  jobId = jobs.find(j => j.job.number === 229)!.job.id
}, 240_000)
afterAll(() => house?.stop())

const OWNER = 'Slate quarry, lorry 4 (Ilse Harrow)'
const command = (script: string, ...args: string[]) =>
  given(script, args, { DATABASE_URL: house.cluster.adminUrl })
const frozen = async () =>
  (await house.request('GET', `/api/jobs/${jobId}/issues/1/record.json`)).body as JobRecord
const issues = async () => (await house.request('GET', `/api/jobs/${jobId}/issues`)).body as HandoverIssue[]
const found = async (words: string) =>
  ((await house.request('GET', `/api/search?words=${words}`)).body as { jobs: { id: string }[] }).jobs.map(
    j => j.id,
  )

describe('An owner who asks for it', () => {
  it('is shown first with all that would be done, and nothing is changed', async () => {
    expect((await command('erase')).status).toBe(2)
    expect(await command('erase', 'Nobody Known', 'asked')).toMatchObject({
      status: 1,
      said: expect.stringContaining('No job has the owner') as string,
    })
    const { status, said } = await command('erase', OWNER.toUpperCase(), 'asked by letter')
    expect([status, said]).toEqual([0, expect.stringMatching(/W-0229.*[\s\S]*Nothing was changed/)])
    expect((await frozen()).job.owner).toBe(OWNER)
  })

  it('is erased from intake, search, frozen records and printed copies; the technical record stays', async () => {
    await house.request('POST', `/api/jobs/${jobId}/events`, {
      kind: 'note',
      id: randomUUID(),
      atMs: Date.now(),
      stepId: null,
      text: 'Harrow called',
    })
    const before = await frozen()
    const [printed] = await issues()
    const { status, said } = await command('erase', OWNER, 'asked by letter', '--yes')
    expect([status, said]).toEqual([0, expect.stringMatching(/still: entry note: .*Harrow called/)])
    const { job, events } = (await house.request('GET', `/api/jobs/${jobId}`)).body as {
      job: { owner: string; contact: string }
      events: { kind: string; text?: string }[]
    }
    expect([job.owner, job.contact]).toEqual(['\u2013', ''])
    expect(events.at(-1)).toMatchObject({ kind: 'note', text: expect.stringContaining('asked by letter') })
    const after = await frozen()
    expect(after).toEqual({ ...before, job: { ...before.job, owner: '\u2013' } })
    const [{ checksum, printedChecksum }] = (await issues()) as [HandoverIssue]
    expect(printedChecksum).toBe(printed!.checksum)
    expect(checksum).not.toBe(printedChecksum)
    expect(await found('ilse')).not.toContain(jobId)
    expect((await fetch(`${house.address}/api/jobs/${jobId}/handover.pdf?issue=1`)).status).toBe(200)
    expect(await command('check')).toMatchObject({
      status: 0,
      said: expect.stringContaining(': whole.') as string,
    })
  })

  it('leaves what is frozen frozen, and does nothing twice', async () => {
    expect((await command('erase', OWNER, 'again', '--yes')).said).toContain('No job has the owner')
    const db = new pg.Client({ connectionString: house.cluster.adminUrl })
    await db.connect()
    for (const change of ['update handover_issue set number = 9', 'delete from handover_paper'])
      await expect(db.query(`${change} where job_id <> $1`, [randomUUID()])).rejects.toThrow(/frozen/)
    await db.end()
  })
})
