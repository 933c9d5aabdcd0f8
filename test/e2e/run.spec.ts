import type { JobEvent } from '../../core/run'
import { Panel, deliver, expect, said, settled, test } from './bench'

const eventsOf = async (
  house: { request: (m: string, p: string) => Promise<{ body: unknown }> },
  id: string,
) => ((await house.request('GET', `/api/jobs/${id}`)).body as { events: JobEvent[] }).events

test('a phone follows the run live: place, readings, and what it takes itself', async ({
  page,
  house,
  browser,
}) => {
  await deliver(house)
  const id = await house.newJob({ serial: '50101' })
  const phone = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage()
  for (const p of [page, phone]) await p.goto(`${house.address}/jobs/${id}/align`)
  await phone.waitForFunction(() => document.documentElement.dataset.ready === 'true')
  await page.locator('[data-step="A1.5"]').click()
  await expect(phone.getByRole('heading', { name: 'Transmit frequency' })).toBeVisible()
  await page.locator('[data-step="A1.0"]').click()
  await expect(phone.getByRole('heading', { name: 'Warm-up' })).toBeVisible()
  await page.keyboard.press('t')
  await page.keyboard.type('25')
  await page.keyboard.press('Enter')
  await expect(phone.locator('[data-step="A1.0"]')).toContainText('within')
  // From the hand to the bench
  await phone.getByRole('button', { name: /^Confirm/ }).click()
  await expect(page.locator('[data-step="A1.0"]')).not.toContainText('not confirmed')
  await expect
    .poll(async () => (await eventsOf(house, id)).filter(e => e.kind === 'step-confirmed').length)
    .toBe(1)
  await phone.context().close()
})

test(
  'frequency waits for the warm-up; going on is kept; seconds keyed ' +
    'are kept once by two screens; any entry can be struck out',
  async ({ page, house, browser }) => {
    await deliver(house, { warm: false })
    const id = await house.newJob({ serial: '50102' })
    const other = await (await browser.newContext()).newPage()
    for (const p of [page, other]) await p.goto(`${house.address}/jobs/${id}/align`)
    const panel = new Panel(page)
    await page.locator('[data-step="A1.5"]').click()
    await expect(page.getByText('Wait: warming up')).toBeVisible()
    await page.getByRole('button', { name: 'Continue anyway…' }).click()
    await page.getByLabel('Reason').fill('only to see')
    await page.getByRole('button', { name: /^Continue anyway Ctrl/ }).click()
    await expect(page.getByText('noted in the log')).toBeVisible()
    await panel.open()
    await panel.state({ channel: 20, keyed: true })
    await page.waitForTimeout(1500)
    await panel.state({ channel: 20, keyed: false })
    await expect.poll(async () => (await eventsOf(house, id)).filter(e => e.kind === 'keyed').length).toBe(1)
    await page.waitForTimeout(1000)
    const events = await eventsOf(house, id)
    expect(events.filter(e => e.kind === 'keyed')).toHaveLength(1)
    expect(events.find(e => e.kind === 'gate-passed')).toMatchObject({
      stepId: 'A1.5',
      reason: 'only to see',
    })
    await page.keyboard.press('p')
    await page.keyboard.press('a')
    await expect(said(page)).toContainText('logged as adjusted')
    await page.getByRole('button', { name: 'More', exact: true }).click()
    await page.getByRole('button', { name: 'Log', exact: true }).click()
    const log = page.getByRole('dialog')
    await expect(log.getByText(/Keyed .* in total, from measured RF/)).toBeVisible()
    await log
      .getByRole('listitem')
      .filter({ hasText: 'adjusted CT2' })
      .getByRole('button', { name: 'strike out' })
      .click()
    await page.getByLabel('Reason').fill('it was not touched')
    await page.getByRole('button', { name: /^Strike out Ctrl/ }).click()
    await expect(log.getByText('struck out: it was not touched', { exact: true })).toBeVisible()
    await expect
      .poll(async () => (await eventsOf(house, id)).filter(e => e.kind === 'event-struck').length)
      .toBe(1)
    await other.context().close()
  },
)

test('a menu set: keys in time, a value proposed under the limit, warned before one above it', async ({
  page,
  house,
}) => {
  await house.request('POST', '/api/practice/free', { designId: 'corvid-m6', kitId: 'usual', seed: 27 })
  await house.request('POST', '/api/practice', { warmByS: 1500 })
  const id = await house.newJob({ sheetId: 'corvid-m6', ruleSetId: 'R-US', serial: '50103' })
  await page.goto(`${house.address}/jobs/${id}/align`)
  await page.locator('[data-step="A4.2"]').click()
  await page.getByRole('button', { name: 'Enlarge', exact: true }).click()
  const large = page.getByRole('dialog')
  await expect(large).toContainText('FUNC first')
  for (const key of ['FUNC', 'CH up', 'FUNC']) {
    await page.keyboard.press('Space')
    await expect(large.getByRole('status')).toHaveText(key)
  }
  await page.keyboard.press('Space')
  await expect(large.getByRole('status')).toHaveText('Done')
  await page.keyboard.press('Escape')

  await page.locator('[data-step="A4.4a"]').click()
  const code = page.getByLabel('menu value, hexadecimal')
  const coach = page.getByRole('region', { name: 'Menu values' })
  const read = coach.locator('p > span.fig')
  const write = async (value: number) => {
    const before = await read.count()
    await house.request('POST', '/api/practice', { adjusters: [{ designator: '01', position: value }] })
    await settled(page, 1000)
    await code.fill(value.toString(16))
    await page.getByRole('button', { name: 'Take reading at this value' }).click()
    await expect(said(page)).toContainText('taken')
    // What is proposed next is asked for when this reading is among those it comes from.
    await expect(read).toHaveCount(before + 1)
  }
  await house.request('POST', '/api/practice', { mode: 'AM', channel: 19, keyed: true })
  await settled(page, 1200)
  await write(0x50)
  const proposed = async () => {
    const words = await coach.getByRole('status').innerText()
    return { settled: /^Keep/.test(words), code: Number.parseInt(/([0-9A-F]{2,})h/.exec(words)![1]!, 16) }
  }
  let last = 0x50
  for (let readings = 1; readings < 4 && !(await proposed()).settled; readings++)
    await write((last = (await proposed()).code))
  // After four readings it stands within one step of where it stays; reading that one too settles it.
  expect(Math.abs((await proposed()).code - last)).toBeLessThanOrEqual(1)
  if (!(await proposed()).settled) await write((await proposed()).code)
  await expect(coach.getByRole('status')).toContainText('Keep')
  await code.fill('FF')
  await expect(coach.getByRole('alert')).toContainText('would exceed the limit')
  await house.request('POST', '/api/practice', { keyed: false })
})
