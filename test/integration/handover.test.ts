import { createHash, randomUUID } from 'node:crypto'
import pg from 'pg'
import sharp from 'sharp'
import { extractText, getDocumentProxy } from 'unpdf'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { JobRecord } from '../../core/record'
import type { HandoverIssue } from '../../shared/handoverIssue'
import { testHouse, type TestHouse } from './house'

let house: TestHouse
let jobs: { job: { id: string; number: number } }[]
beforeAll(async () => {
  house = await testHouse()
  jobs = (await house.request('GET', '/api/jobs')).body as typeof jobs
}, 240_000)
afterAll(() => house?.stop())

const idOf = (number: number) => jobs.find(j => j.job.number === number)!.job.id
async function pdf(path: string): Promise<{ text: string; pages: number; bytes: Uint8Array }> {
  const response = await fetch(house.address + path)
  expect([response.status, response.headers.get('content-type')]).toEqual([200, 'application/pdf'])
  const bytes = new Uint8Array(await response.arrayBuffer())
  const document = await getDocumentProxy(bytes.slice())
  const { text, totalPages } = await extractText(document, { mergePages: true })
  return { text: text.replace(/[\s\u2009]+/g, ' '), pages: totalPages, bytes }
}
const handOver = (jobId: string, text: string) =>
  house.request('POST', `/api/jobs/${jobId}/events`, {
    kind: 'handed-over',
    id: randomUUID(),
    atMs: 1_795_000_000_000,
    text,
  })
const issues = async (jobId: string) =>
  (await house.request('GET', `/api/jobs/${jobId}/issues`)).body as HandoverIssue[]

describe('PDF', () => {
  it('for the owner: plain words, what was claimed, no designators', async () => {
    const { text, pages } = await pdf(`/api/jobs/${idOf(228)}/handover.pdf?copy=owner`)
    expect(pages).toBeLessThanOrEqual(3)
    expect(text).toContain('Osmund 40A, serial 7732')
    expect(text).toMatch(/draft, not handed over/i)
    expect(text).toMatch(/Your report and our measurements/)
    expect(text).toMatch(/times 1\.34/)
    expect(text).toMatch(/Compliance with CEPT 27 MHz has not been demonstrated/)
    expect(text).not.toMatch(/\bRV4\b|\bA2\.8\b/)
  })
  it('for the owner in his language, for the shop in that of the screen', async () => {
    const id = await house.newJob({ ownerLanguage: 'es', sheetId: 'osmund-40a', ruleSetId: 'R-EU' })
    const owner = await pdf(`/api/jobs/${id}/handover.pdf?copy=owner`)
    expect(owner.text).toMatch(/No se ha demostrado la conformidad con CEPT 27 MHz/)
    expect(owner.text).not.toMatch(/Compliance|has not been/)
    expect((await pdf(`/api/jobs/${id}/handover.pdf?copy=shop`)).text).toMatch(/has not been demonstrated/)
  })
  it('for the shop: every judged row, units with micro, embedded fonts, vectors and no picture', async () => {
    const { text, bytes } = await pdf(`/api/jobs/${idOf(229)}/handover.pdf?copy=shop`)
    expect(text).toMatch(/Channel 20, high power Power, average 2\.80 W below 3\.82 W within/)
    expect(text).toMatch(/0\.40 [\u00b5\u03bc]V/)
    expect(text).toMatch(/issue 1 of/)
    const raw = Buffer.from(bytes).toString('latin1')
    expect(raw).toMatch(/\/FontFile[23]/)
    expect(raw).not.toMatch(/\/Subtype \/Image/)
  })
  it('for the shop shows the photos of the job, turned and with arrows, and the band as vectors', async () => {
    const id = await house.newJob({ owner: 'Barge Heron' })
    const photo = await sharp({ create: { width: 640, height: 400, channels: 3, background: '#7a8' } })
      .jpeg()
      .toBuffer()
    const photoId = randomUUID()
    const about = new URLSearchParams({ id: photoId, kind: 'photo', about: 'positions', name: 'board' })
    await fetch(`${house.address}/api/jobs/${id}/attachments?${about}`, {
      method: 'POST',
      body: new Uint8Array(photo),
    })
    await house.request('PATCH', `/api/attachments/${photoId}`, {
      version: 1,
      rotation: 90,
      arrows: [{ x1: 0.1, y1: 0.1, x2: 0.6, y2: 0.6 }],
    })
    const shop = await pdf(`/api/jobs/${id}/handover.pdf?copy=shop`)
    expect(shop.text).toMatch(/Photos board, Starting positions/)
    const raw = Buffer.from(shop.bytes).toString('latin1')
    expect(raw, 'turned upright').toMatch(/\/Width 400\s+\/Height 640|\/Height 640\s+\/Width 400/)
    expect(
      Buffer.from((await pdf(`/api/jobs/${id}/handover.pdf?copy=owner`)).bytes).toString('latin1'),
    ).not.toMatch(/\/Subtype \/Image/)
    expect((await pdf(`/api/jobs/${idOf(229)}/handover.pdf?copy=shop`)).text).toMatch(
      /Power, high, W: before hollow/,
    )
  })
  it('writes other scripts, and marks what no font holds instead of leaving it out', async () => {
    const id = await house.newJob({
      owner: '\u0141ukasz \u039d\u03af\u03ba\u03bf\u03c2 \u0418\u0432\u0430\u043d \u4e2d',
      complaint: 'a\nb',
    })
    const { text } = await pdf(`/api/jobs/${id}/handover.pdf`)
    for (const word of ['\u0141ukasz', '\u039d\u03af\u03ba\u03bf\u03c2', '\u0418\u0432\u0430\u043d ?'])
      expect(text).toContain(word)
  })
  it('of the tag carries number, model and serial', async () => {
    const { text, pages } = await pdf(`/api/jobs/${idOf(231)}/tag.pdf`)
    expect(pages).toBe(1)
    expect(text).toMatch(/W-0231.*Osmund 27F.*serial 41877/)
  })
  it.each([
    ['copy=boss', 'copy'],
    ['issue=0', 'issue'],
    ['issue=x', 'issue'],
  ])('with %s is refused by name', async (query, field) => {
    expect((await house.request('GET', `/api/jobs/${idOf(229)}/handover.pdf?${query}`)).error).toMatchObject({
      code: 'invalid-field',
      field,
    })
  })
})

describe('a handover', () => {
  it(
    'is frozen with a checksum over the very text; a later ' +
      'correction makes a new issue and leaves the old one',
    async () => {
      const id = idOf(231)
      expect(await issues(id)).toEqual([])
      await handOver(id, 'told everything')
      const [first] = await issues(id)
      const frozen = await (await fetch(`${house.address}/api/jobs/${id}/issues/1/record.json`)).text()
      expect(createHash('sha256').update(frozen).digest('hex')).toBe(first!.checksum)
      await house.request('PATCH', `/api/jobs/${id}`, { version: 2, owner: 'Somebody else' })
      await house.request('POST', `/api/jobs/${id}/events`, {
        kind: 'note',
        id: randomUUID(),
        atMs: 1_795_000_100_000,
        stepId: null,
        text: 'the lead was exchanged too',
      })
      expect(await (await fetch(`${house.address}/api/jobs/${id}/issues/1/record.json`)).text()).toBe(frozen)
      await handOver(id, 'second time')
      expect((await issues(id)).map(i => i.number)).toEqual([2, 1])
      const second = JSON.parse(
        await (await fetch(`${house.address}/api/jobs/${id}/issues/2/record.json`)).text(),
      ) as JobRecord
      expect(second.job.owner).toBe('Somebody else')
      expect((await pdf(`/api/jobs/${id}/handover.pdf?copy=shop&issue=1`)).text).toContain('Barge Heron')
      expect((await pdf(`/api/jobs/${id}/handover.pdf?copy=shop`)).text).toMatch(
        /Somebody else.*lead was exchanged/,
      )
    },
  )
  it('is printed again word for word as the owner was given it', async () => {
    const id = await house.newJob({ ownerLanguage: 'es', sheetId: 'osmund-40a', ruleSetId: 'R-EU' })
    await handOver(id, '')
    const given = await pdf(`/api/jobs/${id}/handover.pdf?copy=owner`)
    expect(given.text).toMatch(/No se ha demostrado/)
    const changes = { version: 2, owner: 'Somebody else', ownerLanguage: 'en' }
    expect((await house.request('PATCH', `/api/jobs/${id}`, changes)).status).toBe(200)
    expect((await pdf(`/api/jobs/${id}/handover.pdf?copy=owner&issue=1`)).bytes).toEqual(given.bytes)
    await handOver(id, 'in English this time')
    expect((await pdf(`/api/jobs/${id}/handover.pdf?copy=owner`)).text).toMatch(
      /Somebody else.*has not been demonstrated/,
    )
    expect((await pdf(`/api/jobs/${id}/handover.pdf?copy=owner&issue=1`)).bytes).toEqual(given.bytes)
  })
  it('freezes everything that was entered before it, however many enter at once', async () => {
    for (let round = 0; round < 5; round++) {
      const id = await house.newJob()
      const note = (text: string) => ({
        kind: 'note',
        id: randomUUID(),
        atMs: 1_795_000_000_000,
        stepId: null,
        text,
      })
      const post = (event: object) => house.request('POST', `/api/jobs/${id}/events`, event)
      await Promise.all([
        ...Array.from({ length: 8 }, (_, i) => post(note(`before ${i}`))),
        handOver(id, ''),
        ...Array.from({ length: 8 }, (_, i) => post(note(`after ${i}`))),
      ])
      const { events } = (await house.request('GET', `/api/jobs/${id}`)).body as {
        events: { id: string; kind: string }[]
      }
      const before = events.slice(0, events.findIndex(e => e.kind === 'handed-over') + 1).map(e => e.id)
      const frozen = (await house.request('GET', `/api/jobs/${id}/issues/1/record.json`)).body as JobRecord
      expect(frozen.events.map(e => e.id)).toEqual(before)
    }
  })
  it('sent twice makes one issue', async () => {
    const id = await house.newJob()
    const event = { kind: 'handed-over', id: randomUUID(), atMs: 1_795_000_000_000, text: '' }
    for (let i = 0; i < 2; i++) await house.request('POST', `/api/jobs/${id}/events`, event)
    expect(await issues(id)).toHaveLength(1)
  })
  it('cannot be changed behind its back, and an issue that is not there is said so', async () => {
    const db = new pg.Client(house.cluster.adminUrl)
    await db.connect()
    await expect(db.query("update handover_issue set record = '{}'")).rejects.toThrow(/frozen/)
    await expect(db.query('delete from handover_issue')).rejects.toThrow(/frozen/)
    await expect(db.query("update handover_paper set paper = ''")).rejects.toThrow(/frozen/)
    await expect(db.query('delete from handover_paper')).rejects.toThrow(/frozen/)
    await db.end()
    for (const n of ['9', '0', 'x', '1e9'])
      expect(
        (await house.request('GET', `/api/jobs/${idOf(229)}/issues/${n}/record.json`)).error,
      ).toMatchObject({ code: 'unknown-issue' })
  })
})
