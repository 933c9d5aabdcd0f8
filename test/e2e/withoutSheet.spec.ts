import type { SheetView } from '../../shared/sheetFile'
import { expect, test } from './bench'
import { choose } from './choose'

test('a set without a sheet is booked in at once, gets bands of its own, and its job follows its sheet', async ({
  page,
  house,
}) => {
  test.setTimeout(120_000)
  let job = ''

  await test.step('its name and its family are enough to begin', async () => {
    await page.goto(house.address)
    await page.getByRole('button', { name: /Book in a set/ }).click()
    await page.getByLabel('Owner', { exact: true }).fill('Wenna Carrow')
    await page.getByRole('button', { name: /No sheet of this model yet/ }).click()
    const dialog = page.getByRole('dialog')
    await dialog.getByLabel('Model, as on the set').fill('Osmund 27F')
    await expect(dialog.getByText('There is a sheet of Osmund 27F.')).toBeVisible()
    await dialog.getByLabel('Model, as on the set').fill('Quillon HB-140')
    await choose(page, 'Family', 'Hybrid valve transceiver')
    await dialog.getByRole('button', { name: 'Use this model' }).click()
    await expect(page.locator('.v-select').first()).toContainText('Quillon HB-140')
    await page.getByLabel('Serial number', { exact: true }).fill('HB-0642')
    await page.getByLabel(/Complaint/).fill('Show our operators how to load it.')
    await page.getByRole('button', { name: /Start the job/ }).click()
    await page.waitForURL(/\/jobs\/[0-9a-f-]+\/inspection$/)
    job = page.url().replace(/\/inspection$/, '')
    await expect(page.getByText('sheet not yet confirmed')).toBeVisible()
  })

  await test.step('its sheet is given its own test frequency, and is known from here on', async () => {
    await page.goto(`${house.address}/sheets/quillon-hb-140/edit`)
    await choose(page, 'Channels', 'Own channels')
    const band = page.locator('details', { hasText: 'Band 40 m' })
    await band.locator('summary').click()
    await band.getByLabel('Frequencies, MHz').fill('7.15 nonsense')
    await band.getByLabel('Frequencies, MHz').press('Tab')
    await expect(band.getByLabel('Frequencies, MHz'), 'what stood is kept').toHaveValue('7.1')
    await band.getByLabel('Frequencies, MHz').fill('7,15')
    await band.getByLabel('Edges from, MHz').fill('7.2')
    await band.getByLabel('Edges from, MHz').press('Tab')
    await expect(page.getByText(/7.15 MHz lies outside its edges/)).toBeVisible()
    await band.getByLabel('Edges from, MHz').fill('7')
    await band.getByLabel('Edges from, MHz').press('Tab')
    await page.getByLabel(/Begun from the sheet of its family/).click()
    await page.getByLabel('Why').fill('its own test frequency')
    await page.getByRole('button', { name: 'Save as revision 2' }).click()
    await page.waitForURL(/\/sheets\/quillon-hb-140$/)
    const { sheet } = (await house.request('GET', '/api/sheets/quillon-hb-140')).body as SheetView
    expect(sheet).toMatchObject({ revision: 2, planId: 'own' })
    expect(sheet.family).toBeUndefined()
    expect(sheet.bands?.find(b => b.name === '40 m')).toMatchObject({
      channels: { kind: 'list', frequenciesHz: [7_150_000] },
      edgesHz: { low: 7_000_000 },
    })
  })

  await test.step('the job is measured by it when somebody says so', async () => {
    await page.goto(`${job}/intake`)
    await page.getByRole('button', { name: /Change model/ }).click()
    const dialog = page.getByRole('dialog')
    await dialog.getByRole('radio', { name: /A better sheet/ }).click()
    await expect(dialog.getByText('Every entry fits.')).toBeVisible()
    await dialog.getByRole('button', { name: 'Change model' }).click()
    await expect(dialog).toBeHidden()
    await expect(page.getByText('sheet not yet confirmed')).toHaveCount(0)
    await page.goto(`${job}/as-found`)
    await expect(page.getByText(/40 m \(7\.15.MHz\)/).first()).toBeVisible()
  })
})
