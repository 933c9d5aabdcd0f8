import { expect, test } from './bench'

test('two browsers edit one intake: the second is shown the difference, and nothing is overwritten silently', async ({
  page,
  house,
  browser,
}) => {
  const id = await house.newJob({ owner: 'Barge Heron', serial: '41999' })
  const address = `${house.address}/jobs/${id}/intake`
  const other = await (await browser.newContext()).newPage()
  await page.goto(address)
  await other.goto(address)
  await other.waitForFunction(() => document.documentElement.dataset.ready === 'true')
  const owner = (p: typeof page) => p.getByLabel('Owner', { exact: true })
  await expect(owner(other)).toHaveValue('Barge Heron')
  await owner(page).fill('Marit Osterholt')
  await page.getByRole('button', { name: /Save corrections/ }).click()
  await expect(page.getByText('Intake corrected')).toBeVisible()

  await owner(other).fill('Odile Marsh')
  await other.getByLabel('Contact').fill('at the lock')
  await other.getByRole('button', { name: /Save corrections/ }).click()
  const conflict = other.getByRole('alert', { name: 'Changed by someone else' })
  await expect(conflict).toContainText('Owner')
  await expect(conflict).toContainText('Odile Marsh')
  await expect(conflict).toContainText('Marit Osterholt')
  await expect(owner(other)).toHaveValue('Odile Marsh')
  expect((await house.request('GET', `/api/jobs/${id}`)).body).toMatchObject({
    job: { owner: 'Marit Osterholt', contact: '' },
  })

  await other.getByRole('button', { name: 'Use saved version' }).click()
  await expect(owner(other)).toHaveValue('Marit Osterholt')
  await other.getByLabel('Contact').fill('at the lock')
  await other.getByRole('button', { name: /Save corrections/ }).click()
  await expect(other.getByText('Intake corrected')).toBeVisible()
  expect((await house.request('GET', `/api/jobs/${id}`)).body).toMatchObject({
    job: { owner: 'Marit Osterholt', contact: 'at the lock' },
  })

  // The first one knows nothing of the contact yet: mine is kept when that is what is wanted.
  await owner(page).fill('Marit O.')
  await page.getByRole('button', { name: /Save corrections/ }).click()
  await page.getByRole('button', { name: 'Use my version' }).click()
  await expect(page.getByText('Intake corrected')).toBeVisible()
  expect((await house.request('GET', `/api/jobs/${id}`)).body).toMatchObject({
    job: { owner: 'Marit O.', version: 4 },
  })
})

test('seven tabs of one browser: each shows the instruments, and an entry is still stored at once', async ({
  context,
  house,
}) => {
  const id = await house.newJob()
  const tabs = []
  for (let n = 0; n < 7; n++) {
    const tab = await context.newPage()
    await tab.goto(n === 6 ? `${house.address}/jobs/${id}/align` : house.address, { waitUntil: 'commit' })
    tabs.push(tab)
  }
  for (const tab of tabs) await expect(tab.locator('[data-quantity="supplyV"]')).toContainText(/\d V/)
  const last = tabs.at(-1)!
  await last.keyboard.press('n')
  await last.getByLabel('Note').fill('from the seventh tab')
  await last.getByRole('button', { name: /^Save/ }).click()
  await expect
    .poll(async () => JSON.stringify((await house.request('GET', `/api/jobs/${id}`)).body), { timeout: 5000 })
    .toContain('from the seventh tab')
})
