import type { JobEvent } from '../../core/run'
import { Panel, deliver, expect, ladder, said, test } from './bench'
import { chooseModel } from './choose'

const rail = '[data-quantity="referenceHz"], [data-quantity="carrierHz"]'

test(
  'an instrument unplugged says so within two seconds, never ' +
    'shows old numbers as live, and comes back by itself',
  async ({ page, house }) => {
    await deliver(house)
    const id = await house.newJob()
    await page.goto(`${house.address}/jobs/${id}/align`)
    const panel = new Panel(page)
    await panel.open()
    await panel.state({ channel: 20, keyed: true })
    await expect(page.locator('[data-quantity="carrierHz"]')).toContainText('MHz')
    await panel.press(/^Counter/)
    await expect(page.getByText(/Counter not answering since \d\d:\d\d:\d\d/)).toBeVisible({ timeout: 2000 })
    await expect(page.locator('[data-quantity="carrierHz"]')).toHaveClass(/stale/)
    await ladder(page, 'A1.5').click()
    await expect(page.locator('.big')).toHaveClass(/stale/)
    await page.keyboard.press('Space')
    await expect(said(page)).toContainText('Counter not updating')
    await expect(page.locator('[data-quantity="powerW"]')).not.toHaveClass(/stale/)
    await panel.press(/^Counter/)
    await expect(page.getByText(/Counter not answering/)).toHaveCount(0)
    await expect(page.locator('[data-quantity="carrierHz"]')).not.toHaveClass(/stale/)
    await expect(page.locator(rail).first()).toBeVisible()
  },
)

test(
  'the database stopped in the middle of a run: readings wait in the ' +
    'browser, survive its closing, and are stored exactly once',
  async ({ context, house }) => {
    await deliver(house)
    const id = await house.newJob()
    let page = await context.newPage()
    await page.goto(`${house.address}/jobs/${id}/align`)
    await expect(page.locator('[data-quantity="onTimeS"]')).toBeVisible()
    await expect(page.getByText('Alignment, 0 of 11 steps done')).toBeVisible()
    await page.keyboard.press('Space')
    await expect(ladder(page, 'A1.0')).toHaveAttribute('data-status', 'inside')
    await page.keyboard.press('Enter')
    await expect(page.getByRole('heading', { name: 'Reference 10.240 MHz' })).toBeVisible()

    const kinds = async () =>
      ((await house.request('GET', `/api/jobs/${id}`)).body as { events?: JobEvent[] }).events?.map(
        e => e.kind,
      )
    await expect.poll(kinds).toEqual(['row-taken', 'step-confirmed'])
    await house.cluster.halt()
    await page.keyboard.press('Space')
    await expect(ladder(page, 'A1.3')).toHaveAttribute('data-status', 'below')
    await page.keyboard.press('n')
    await page.getByLabel('Note').fill('trimmer is stiff')
    await page.getByRole('button', { name: /^Save/ }).click()
    await expect(page.locator('.notice')).toContainText('2 entries not sent yet')
    await expect(page.locator('button.unsent')).toContainText('2 entries not sent yet')

    // The browser is closed while the database is still away.
    await page.close()
    page = await context.newPage()
    await page.goto(`${house.address}/jobs/${id}/align`)
    await expect(page.getByText(/last saved copy/)).toBeVisible()
    await expect(ladder(page, 'A1.3')).toHaveAttribute('data-status', 'below')

    await house.cluster.startAgain()
    await expect(page.getByText(/not sent yet/)).toHaveCount(0, { timeout: 20_000 })
    await expect
      .poll(kinds, { timeout: 15_000 })
      .toEqual(['row-taken', 'step-confirmed', 'row-taken', 'note'])
    await page.reload()
    await expect(ladder(page, 'A1.3')).toHaveAttribute('data-status', 'below')
    const { events } = (await house.request('GET', `/api/jobs/${id}`)).body as { events: JobEvent[] }
    expect(new Set(events.map(e => e.id)).size).toBe(4)
  },
)

test('what is not stored yet is in sight wherever the page is scrolled, and its row is marked', async ({
  page,
  house,
}) => {
  const id = await house.newJob()
  await page.goto(`${house.address}/jobs/${id}/as-found`)
  const rows = page.locator('[data-row]')
  await rows.first().click()
  await page.route('**/events', route => route.abort())
  await page.keyboard.press('t')
  await page.keyboard.type('3')
  await page.keyboard.press('Enter')
  await expect(rows.first()).toContainText('Not sent yet')
  await rows.last().scrollIntoViewIfNeeded()
  await expect(page.locator('button.unsent')).toBeInViewport()
  await expect(page.locator('.notice')).not.toBeInViewport()
  await page.locator('button.unsent').click()
  await expect(page.locator('.notice')).toBeInViewport()
  await page.unroute('**/events')
  await expect(page.locator('button.unsent')).toHaveCount(0, { timeout: 20_000 })
  await expect(rows.first()).not.toContainText('Not sent yet')
})

test('an unknown job, an unknown page, a bad form: each says what is wrong and what to do', async ({
  page,
  house,
}) => {
  await page.goto(`${house.address}/jobs/00000000-0000-4000-8000-000000000000/align`)
  await expect(page.getByRole('heading', { name: 'Job not found' })).toBeVisible()
  await page.goto(`${house.address}/nowhere`)
  await expect(page.getByRole('heading', { name: 'Page not found' })).toBeVisible()
  await page.goto(house.address)
  await page.getByRole('button', { name: /Book in a set/ }).click()
  await page.getByLabel('Owner', { exact: true }).fill('Someone')
  await chooseModel(page, 'Osmund 27F')
  await page.getByLabel('Serial').fill('41\u{1F4FB}')
  await page.getByLabel('Complaint').fill('weak')
  await page.getByRole('button', { name: /Start the job/ }).click()
  await expect(page.getByText(/Serial number: use letters/).first()).toBeVisible()
  await expect(page.getByLabel('Owner', { exact: true })).toHaveValue('Someone')
})

test('an entry that the server fails over again and again is set aside, and what comes after it is stored', async ({
  page,
  house,
}) => {
  const id = await house.newJob()
  await page.route('**/events', route =>
    route.request().postData()?.includes('breaks the server')
      ? route.fulfill({
          status: 500,
          json: { data: { code: 'internal', field: null, message: 'Server error. Saved entries are safe.' } },
        })
      : route.continue(),
  )
  await page.goto(`${house.address}/jobs/${id}/align`)
  await expect(page.getByText('Alignment, 0 of 11 steps done')).toBeVisible()
  for (const text of ['breaks the server', 'comes after it']) {
    await page.keyboard.press('n')
    await page.getByLabel('Note').fill(text)
    await page.getByRole('button', { name: /^Save/ }).click()
    await expect(page.getByLabel('Note')).toHaveCount(0)
  }
  await expect(page.locator('.notice')).toContainText('rejected', { timeout: 30_000 })
  await expect
    .poll(async () => JSON.stringify((await house.request('GET', `/api/jobs/${id}`)).body), {
      timeout: 10_000,
    })
    .toContain('comes after it')
  // Set aside is not lost: sent once more, when the server can, it is stored.
  await page.unroute('**/events')
  await page.getByRole('button', { name: 'Show', exact: true }).click()
  await page.getByRole('button', { name: 'Try again', exact: true }).click()
  await expect(page.getByText(/rejected/)).toHaveCount(0)
  await expect
    .poll(async () => JSON.stringify((await house.request('GET', `/api/jobs/${id}`)).body), {
      timeout: 10_000,
    })
    .toContain('breaks the server')
})

test('a note that is too long is refused by name and stays in its field', async ({ page, house }) => {
  const id = await house.newJob()
  await page.goto(`${house.address}/jobs/${id}/align`)
  await expect(page.getByText('Alignment, 0 of 11 steps done')).toBeVisible()
  await page.keyboard.press('n')
  await page.getByLabel('Note').fill('x'.repeat(10_050))
  await expect(page.getByText(/10\s050 characters, max. 10\s000/)).toBeVisible()
  await expect(page.getByRole('button', { name: /^Save/ })).toBeDisabled()
  await expect(page.getByLabel('Note')).toHaveValue('x'.repeat(10_050))
})

test('keying is asked for before a row that needs RF, and the clock says when to unkey', async ({
  page,
  house,
}) => {
  await deliver(house)
  const id = await house.newJob()
  await page.goto(`${house.address}/jobs/${id}/as-found`)
  const panel = new Panel(page)
  await panel.open()
  await page.locator('[data-row="high-1"]').click({ position: { x: 60, y: 12 } })
  await page.keyboard.press('Space')
  await expect(said(page)).toContainText('Key it, then take the readings')
  await page.keyboard.press('k')
  await expect(page.getByText('Keyed, max. 20 s')).toBeVisible()
  await expect(page.getByText('UNKEY NOW')).toBeVisible({ timeout: 25_000 })
  await page.keyboard.press('k')
  await expect(page.getByText('Let the set cool')).toBeVisible()
})
