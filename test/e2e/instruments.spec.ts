import { expect, test } from './bench'

test('SINAD over level runs by itself and is stopped', async ({ page, house }) => {
  test.setTimeout(90_000)
  await house.request('POST', '/api/practice/sessions', {
    id: crypto.randomUUID(),
    trainee: 'Runa',
    kitId: 'test-set',
    choice: 'prepared',
    designId: 'osmund-40a',
    lessonId: null,
    difficulty: 1,
    seed: 5,
  })
  await page.goto(house.address + '/instruments/stepped')
  await page.getByLabel('Steps').fill('6')
  await page.getByRole('button', { name: 'Start' }).click()
  await expect(page.getByText('6 of 6, finished')).toBeVisible({ timeout: 40_000 })
  await expect(page.getByText('The original setting was restored.')).toBeVisible()
  const saved = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Save as CSV' }).click()
  expect((await saved).suggestedFilename()).toBe('stepped-sinadDb.csv')
  await page.getByLabel('Steps').fill('60')
  await page.getByRole('button', { name: 'Start' }).click()
  await expect(page.getByText(/^[1-9]\d* of 60, running/)).toBeVisible({ timeout: 20_000 })
  await page.getByRole('button', { name: 'Stop' }).click()
  await expect(page.getByText(/of 60, stopped/)).toBeVisible()
})

test('the queries of an instrument are tried and kept', async ({ page, house }) => {
  await house.request('POST', '/api/practice/sessions', {
    id: crypto.randomUUID(),
    trainee: 'Runa',
    kitId: 'usual',
    choice: 'prepared',
    designId: 'osmund-40a',
    lessonId: null,
    difficulty: 1,
    seed: 5,
  })
  await page.goto(house.address + '/instruments')
  await page.locator('[data-instrument="Power meter"]').getByRole('link', { name: 'Queries' }).click()
  await page.getByRole('button', { name: 'Send' }).click()
  await expect(page.getByText(/RF power meter \(simulated\)/)).toBeVisible()
  await page.getByLabel('To the instrument').fill('MEAS:NONSENSE?')
  await page.getByRole('button', { name: 'Send' }).click()
  await expect(page.getByText('no response in time')).toBeVisible()
  await page.getByLabel('per cent of reading 1').fill('5')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByText('These queries are used from now on.')).toBeVisible()
  await page.getByRole('button', { name: 'Restore defaults' }).click()
  await expect(page.getByText('Defaults restored.', { exact: true })).toBeVisible()
})
