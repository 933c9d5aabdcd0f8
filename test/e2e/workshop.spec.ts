import { expect, test } from './bench'

test('everything is found as one types, and a view can be kept', async ({ page, house }) => {
  await page.goto(`${house.address}/sets`)
  await page.getByPlaceholder('words, all must occur').fill('moorhen beside')
  await expect(page.locator('.found')).toHaveCount(1)
  await expect(page.locator('.found')).toContainText('Barge Moorhen')
  await page.getByPlaceholder('words, all must occur').fill('')
  await page.getByLabel('Confirmed cause').selectOption('coils-off')
  await expect(page.locator('.found')).toHaveCount(3)
  await page.getByRole('button', { name: 'Save search' }).click()
  await page.getByLabel('Name').fill('Coils')
  await page
    .getByRole('button', { name: /^Save\b/ })
    .last()
    .click()
  await page.getByRole('button', { name: 'Clear' }).click()
  await expect(page.locator('.found').nth(4)).toBeVisible()
  await page.getByText('Coils', { exact: true }).click()
  await expect(page.locator('.found')).toHaveCount(3)
  await page.reload()
  await expect(page.locator('.found')).toHaveCount(3)
})

test('a set is moved from the shelf to a bench by keyboard, switched on, and its timer runs', async ({
  page,
  house,
}) => {
  await page.goto(house.address)
  const shelf = page.getByRole('region', { name: 'Shelf' })
  const second = page.getByRole('region', { name: 'Bench 2' })
  await expect(second.getByText('W-0227')).toBeVisible()
  const handle = shelf.locator('.line').first().locator('.handle')
  const serial = (await handle.getAttribute('aria-label'))!.match(/move (\S+):/)![1]!
  await handle.focus()
  await page.keyboard.press('ArrowUp')
  await expect(second.getByText(`serial ${serial}`)).toBeVisible()
  await page.reload()
  await expect(page.getByRole('region', { name: 'Bench 2' }).getByText(`serial ${serial}`)).toBeVisible()
  const jobs = (await house.request('GET', '/api/jobs')).body as { job: { id: string; number: number } }[]
  await house.request('POST', `/api/jobs/${jobs.find(j => j.job.number === 230)!.job.id}/events`, {
    kind: 'warm-up-begun',
    id: crypto.randomUUID(),
    atMs: Date.now(),
  })
  await page.reload()
  await expect(page.getByText(/warming up, \d+ min left/)).toBeVisible()
})

test('a rule set of one\u2019s own is written, refused without a source, and in force on a job', async ({
  page,
  house,
}) => {
  await page.goto(`${house.address}/rules`)
  await page.getByRole('button', { name: 'Copy rule set' }).first().click()
  await page.getByLabel('Name').fill('Lock licence')
  await page.getByLabel('Source').fill('')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByRole('alert')).toContainText('Source')
  await page.getByLabel('Source').fill('licence 12/2026')
  await page.getByLabel('Maximum, W').first().fill('1')
  await page.getByLabel('Maximum, W').first().press('Tab')
  await page.getByLabel('Adjacent channel, \u00b5W max.').fill('5')
  await page.getByRole('button', { name: 'Add part of the mask' }).click()
  await page.getByLabel('To, kHz').fill('0')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByRole('alert')).toContainText('"to" is not above "from"')
  await page.getByLabel('To, kHz').fill('12.5')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByRole('heading', { name: /Lock licence/ })).toBeVisible()
  await expect(page.getByText('R-UK6 adjacent channel 5 \u00b5W max.')).toBeVisible()
  await expect(page.getByText('emission mask AM, FM: 25 dB down from 0 to 12.5 kHz')).toBeVisible()
  const [own] = (await house.request('GET', '/api/rule-sets')).body as { id: string }[]
  const id = await house.newJob({ ruleSetId: own!.id, serial: 'RS-1' })
  await page.goto(`${house.address}/jobs/${id}/as-found`)
  await expect(page.getByText('Lock licence')).toBeVisible()
})

test('meters are compared: correlated ones count once', async ({ page, house }) => {
  await page.goto(`${house.address}/instruments`)
  const compare = page.getByRole('region', { name: 'Compare meters' })
  await compare.getByLabel('reading of In-line meter').fill('3.1')
  await compare.getByLabel('reading of Communications test set').fill('4.4')
  await expect(compare.getByRole('status')).toContainText('2 independent meters')
  await expect(compare.getByRole('row', { name: /In-line meter/ })).toContainText('factor 1.')
})
