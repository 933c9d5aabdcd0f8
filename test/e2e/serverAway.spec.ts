import type { Page } from '@playwright/test'
import type { JobEvent } from '../../core/run'
import { deliver, expect, ladder, test } from './bench'
import { lineTo } from './line'

test.use({ serviceWorkers: 'allow' })

/** Every file of the application lies in the browser, which the bench page sees to. */
const kept = async (page: Page, address: string) => {
  await page.goto(address)
  await expect
    .poll(
      () =>
        page.evaluate(async () => {
          const names = await caches.keys()
          const files = names.find(name => name.includes('precache'))
          const shell = files && (await (await caches.open(files)).match('/', { ignoreSearch: true }))
          return Boolean(shell && navigator.serviceWorker.controller)
        }),
      { timeout: 60_000 },
    )
    .toBe(true)
}

test('server gone and page closed: the job opens with what waits, goes on, and all is stored once', async ({
  context,
  house,
}) => {
  await deliver(house)
  const id = await house.newJob()
  const line = await lineTo(house.address)
  const job = `${line.address}/jobs/${id}/align`
  let page = await context.newPage()
  await kept(page, line.address)
  await page.goto(job)
  await expect(page.locator('[data-quantity="onTimeS"]')).toBeVisible()
  await expect(page.getByText('Alignment, 0 of 11 steps done')).toBeVisible()
  await page.keyboard.press('Space')
  await expect(ladder(page, 'A1.0')).toHaveAttribute('data-status', 'inside')
  await line.cut()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'Reference 10.240 MHz' })).toBeVisible()
  await expect(page.locator('button.unsent')).toContainText('not sent yet')
  await page.close()

  page = await context.newPage()
  await page.goto(job)
  await expect(page.getByText('Server not responding')).toBeVisible({ timeout: 30_000 })
  await expect(page.getByText('Alignment, 1 of 11 steps done')).toBeVisible()
  await page.keyboard.press('n')
  await page.getByLabel('Note').fill('written while the server was away')
  await page.getByRole('button', { name: /^Save/ }).click()
  await expect(page.locator('.notice')).toContainText('entries not sent yet')

  await line.mend()
  const kinds = async () =>
    ((await house.request('GET', `/api/jobs/${id}`)).body as { events: JobEvent[] }).events.map(e => e.kind)
  await expect.poll(kinds, { timeout: 30_000 }).toEqual(['row-taken', 'step-confirmed', 'note'])
  await expect(page.getByText('Server not responding')).toHaveCount(0, { timeout: 30_000 })
  await page.close()
  await line.cut()
})

test('what was not needed at the first look is there when the server is not: notes, board, shortcuts', async ({
  page,
  house,
}) => {
  const id = await house.newJob()
  const line = await lineTo(house.address)
  await kept(page, line.address)
  await page.goto(`${line.address}/jobs/${id}/align`)
  await expect(page.getByText('Alignment, 0 of 11 steps done')).toBeVisible()
  await line.cut()
  for (const key of ['?', 'b', 'n']) {
    await page.keyboard.press(key)
    await expect(page.getByRole('dialog'), key).toBeVisible()
    if (key !== 'n') await page.keyboard.press('Escape')
  }
  await page.getByLabel('Note').fill('written without a server')
  await page.getByRole('button', { name: /^Save/ }).click()
  await expect(page.locator('button.unsent')).toBeVisible()
  await line.mend()
  await expect
    .poll(async () => JSON.stringify((await house.request('GET', `/api/jobs/${id}`)).body), {
      timeout: 15_000,
    })
    .toContain('written without a server')
  await page.close()
  await line.cut()
})

test('a page opened by another name of this machine goes on at the one address', async ({ page, house }) => {
  const other = house.address.replace('127.0.0.1', 'localhost')
  await page.goto(`${other}/sets?words=41877`)
  await expect(page).toHaveURL(`${house.address}/sets?words=41877`)
})
