import { randomUUID } from 'node:crypto'
import type { BrowserContext, Page } from '@playwright/test'
import type { JobEvent } from '../../core/run'
import { INTAKE, testHouse, type TestHouse } from '../integration/house'
import { expect, test as base } from './bench'
import { choose, chooseModel } from './choose'

/** A workshop that was never set up. */
const test = base.extend<object, { fresh: TestHouse }>({
  fresh: [
    // eslint-disable-next-line no-empty-pattern -- Playwright asks for a pattern, even of nothing
    async ({}, use) => {
      const house = await testHouse({ demo: false, setUp: false })
      await use(house)
      await house.stop()
    },
    { scope: 'worker', timeout: 300_000 },
  ],
})
const OWNER = { name: 'Mirela Quist', password: 'two locks and a weir' }
const OTHER = { name: 'Hanneke Broad', password: 'barges go by at noon' }

async function signIn(page: Page, { name, password }: { name: string; password: string }) {
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('Name').fill(name)
  await dialog.getByLabel('Password').fill(password)
  await dialog.getByRole('button', { name: 'Sign in', exact: true }).click()
  await expect(dialog).toHaveCount(0)
}
const TRAINEE = { name: 'Jory Penn', role: 'trainee', password: 'barges go by at noon' }

/** Signed out by time, as far as the page can tell. */
const expire = (context: BrowserContext) => context.clearCookies({ name: 'diapason_session' })
const notes = async (page: Page, address: string, jobId: string) =>
  ((await (await page.request.get(`${address}/api/jobs/${jobId}`)).json()) as { events: JobEvent[] }).events
    .filter(e => e.kind === 'note')
    .map(e => [e.text, e.author?.name])

/** @param before done when the note is written and not yet saved */
async function addNote(page: Page, text: string, before = async () => {}) {
  await page.getByRole('button', { name: /^Add note/ }).click()
  await page.getByRole('dialog').getByLabel('Note').fill(text)
  await before()
  await page.getByRole('button', { name: /^Save/ }).click()
  await expect(page.getByLabel('Note')).toHaveCount(0)
}

test('a new workshop is set up, people are added, and every entry carries the name of who made it', async ({
  page,
  context,
  fresh,
}) => {
  const jobId = '4f0c7a52-8d0e-4c55-9a35-0f1e2d3c4b5a'
  await test.step('first start, with people', async () => {
    await page.goto(fresh.address)
    await page.getByLabel("Workshop's name").fill('Weirside Bench')
    await choose(page, 'Rule set for new jobs', /^US CB Radio Service/)
    await page.getByRole('radio', { name: /Several people/ }).check()
    await page.getByLabel('Your name').fill(OWNER.name)
    await page.getByLabel('Password').fill('too short')
    await page.getByRole('button', { name: 'Begin' }).click()
    await expect(page.getByText(/at least 12/i).last()).toBeVisible()
    await page.getByLabel('Password').fill(OWNER.password)
    await page.getByRole('button', { name: 'Begin' }).click()
    await expect(page.getByText('No jobs yet')).toBeVisible()
    await expect(page.getByRole('button', { name: /Mirela Quist/ })).toBeVisible()
    await expect(page.getByRole('link', { name: 'Practice' }), 'no simulator runs here').toHaveCount(0)
  })
  await test.step('a technician is added', async () => {
    await page.getByRole('link', { name: 'People' }).click()
    const form = page.getByRole('form', { name: 'Add a person' })
    await form.getByLabel('Name').fill(OTHER.name)
    await form.getByLabel('First password').fill(OTHER.password)
    await form.getByRole('button', { name: 'Add a person' }).click()
    await expect(page.getByRole('cell', { name: 'Hanneke Broad, technician' })).toBeVisible()
  })
  await test.step('signed out while a form is filled in: nothing of it is lost', async () => {
    await page.goto(fresh.address)
    await page.getByRole('button', { name: /^Book in a set/ }).click()
    await page.getByLabel('Complaint').fill('weak on channel 20')
    // That of the country, which covers its channels; not that of its sheet.
    await chooseModel(page, 'Osmund 40A')
    await expect(page.getByText(/^US CB Radio Service/)).toBeVisible()
    await expire(context)
    await page.evaluate(() => fetch('/api/jobs'))
    const made = await page.request.post(`${fresh.address}/api/jobs`, { data: { ...INTAKE, id: jobId } })
    expect(made.status()).toBe(401)
    await page.getByRole('button', { name: /^Start the job/ }).click()
    await expect(page.getByLabel('Complaint')).toHaveValue('weak on channel 20')
  })
  await test.step('whoever is not signed in sees nothing of the workshop', async () => {
    await page.goto(fresh.address)
    await expect(page.getByRole('dialog').getByRole('button', { name: 'Sign in', exact: true })).toBeVisible()
    await expect(page.getByText('On the bench')).toHaveCount(0)
    await signIn(page, OWNER)
    await expect(page.getByText('On the bench')).toBeVisible()
    expect(
      (await page.request.post(`${fresh.address}/api/jobs`, { data: { ...INTAKE, id: jobId } })).status(),
    ).toBe(201)
  })
  await test.step('an entry that waits is stored in the name of who made it, not of who came after', async () => {
    // The last that the page asks for by itself: after it nothing finds out before the note is sent.
    const lastRead = page.waitForResponse(/\/api\/sheets\//)
    await page.goto(`${fresh.address}/jobs/${jobId}/align`)
    await lastRead
    await addNote(page, 'of Mirela', () => expire(context))
    await expect(page.getByRole('dialog').getByText(/Sign in again/)).toBeVisible()
    await signIn(page, OTHER)
    await addNote(page, 'of Hanneke')
    await expect(page.getByText(/whoever entered them signs in/).first()).toBeVisible()
    await expect.poll(() => notes(page, fresh.address, jobId)).toEqual([['of Hanneke', 'Hanneke Broad']])
    await page.getByRole('button', { name: /Hanneke Broad/ }).click()
    await signIn(page, OWNER)
    await expect
      .poll(() => notes(page, fresh.address, jobId))
      .toEqual([
        ['of Hanneke', 'Hanneke Broad'],
        ['of Mirela', 'Mirela Quist'],
      ])
    await expect(page.getByText(/whoever entered them signs in/)).toHaveCount(0)
  })
  await test.step('another tab signs somebody else in: this one does not enter in the wrong name', async () => {
    const sent = await page.request.post(`${fresh.address}/api/sign-in`, { data: OTHER })
    expect(sent.status()).toBe(204)
    await addNote(page, 'of Mirela, in the first tab')
    await expect(page.getByRole('button', { name: /Hanneke Broad/ })).toBeVisible()
    expect((await notes(page, fresh.address, jobId)).length).toBe(2)
    await page.getByRole('button', { name: /Hanneke Broad/ }).click()
    await signIn(page, OWNER)
    await expect
      .poll(() => notes(page, fresh.address, jobId))
      .toContainEqual(['of Mirela, in the first tab', 'Mirela Quist'])
  })
  await test.step('what a trainee enters waits until it is released on the page', async () => {
    await page.request.post(`${fresh.address}/api/people`, { data: { ...TRAINEE, id: randomUUID() } })
    const other = await context.browser()!.newContext()
    const trainee = await other.newPage()
    await trainee.goto(fresh.address)
    await signIn(trainee, TRAINEE)
    await trainee.goto(`${fresh.address}/jobs/${jobId}/align`)
    await addNote(trainee, 'the squelch pot crackles')
    await expect(trainee.getByText(/One entry of a trainee waits for release/)).toBeVisible()
    await trainee.getByRole('button', { name: 'Show', exact: true }).click()
    await expect(trainee.getByText(/note: the squelch pot crackles/)).toBeVisible()
    await expect(trainee.getByRole('button', { name: 'Release all' })).toHaveCount(0)
    await other.close()
    const waiting = page.getByRole('region', { name: 'not released' })
    await waiting.getByRole('button', { name: 'Show' }).click()
    await waiting.getByRole('button', { name: 'Release all' }).click()
    await expect(waiting).toHaveCount(0)
  })
  await test.step('the owner of the set reads his copy by a link, in a browser that knows nothing', async () => {
    const data = { kind: 'handed-over', id: randomUUID(), atMs: Date.now(), text: 'explained' }
    const handed = await page.request.post(`${fresh.address}/api/jobs/${jobId}/events`, { data })
    expect(handed.status()).toBe(201)
    await page.goto(`${fresh.address}/jobs/${jobId}/handover`)
    await page.getByRole('button', { name: /^Link for the owner/ }).click()
    await page.getByRole('button', { name: 'Make link' }).click()
    const address = await page.getByRole('status').getByRole('textbox').inputValue()
    const answer = await fetch(address)
    expect([answer.status, answer.headers.get('content-type')]).toEqual([200, 'application/pdf'])
    await page.getByRole('button', { name: 'End link' }).click()
    await expect(page.getByRole('button', { name: 'End link' })).toHaveCount(0)
    expect((await fetch(address)).status).toBe(404)
  })
})
