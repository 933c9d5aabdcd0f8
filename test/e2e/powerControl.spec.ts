import type { Quantity } from '../../core/quantity'
import type { SheetView } from '../../shared/sheetFile'
import { freshRow } from '../fixtures/freshRow'
import { expect, test } from './bench'

test('a set with a variable control: its positions have names, its range is told from both ends', async ({
  page,
  house,
}) => {
  test.setTimeout(120_000)
  const sheetNow = async () =>
    ((await house.request('GET', '/api/sheets/osmund-27f')).body as SheetView).sheet
  const revision = (await sheetNow()).revision

  await test.step('the sheet names the position, the ends and the control', async () => {
    await page.goto(`${house.address}/sheets/osmund-27f/edit`)
    await page.getByRole('tab', { name: 'As found' }).click()
    const row = page.locator('details', { hasText: 'Channel 20, low power' })
    await row.locator('summary').click()
    await row.getByLabel('Power position').fill('control at its left end')
    await row.getByLabel('Power position').press('Tab')
    await expect(row.getByLabel('low power'), 'a position is neither end').toBeDisabled()
    await page.getByLabel('Name of the highest power position').fill('4 W')
    await page.getByLabel('Name of the highest power position').press('Tab')
    await page.getByRole('button', { name: 'Add a power control' }).click()
    await page.getByLabel('Control, row 1').fill('Rear control')
    await page.getByLabel('Control, row 1').press('Tab')
    await page.getByLabel('Row at its lowest end, row 1').selectOption('low-1')
    await page.getByLabel('Row at its highest end, row 1').selectOption('high-20')
    await expect(page.getByText(/its ends are two rows that read a power on the same channel/)).toBeVisible()
    await page.getByLabel('Row at its lowest end, row 1').selectOption('low-20')
    await page.getByLabel('Why').fill('it has a knob')
    await page.getByRole('button', { name: `Save as revision ${revision + 1}` }).click()
    await page.waitForURL(/\/sheets\/osmund-27f$/)
    expect(await sheetNow()).toMatchObject({
      powerNames: { high: '4 W' },
      powerControls: [{ name: 'Rear control', lowestPointId: 'low-20', highestPointId: 'high-20' }],
    })
  })

  const sheet = await sheetNow()
  const id = await house.newJob()
  const take = async (phase: 'as-found' | 'as-left', pointId: string, powerW: number) => {
    const values: Partial<Record<Quantity, number>> = { powerW }
    const { status } = await house.request(
      'POST',
      `/api/jobs/${id}/events`,
      freshRow(sheet, phase, pointId, values),
    )
    expect(status).toBe(201)
  }

  await test.step('one end is no range; both are, and beyond them nothing is said', async () => {
    await take('as-found', 'high-20', 9.4)
    await page.goto(`${house.address}/jobs/${id}/as-found`)
    await expect(page.getByText('power control at its left end')).toBeVisible()
    await expect(
      page.getByText(/Rear control: 9\.40?.W at its highest end; its lowest end was not/),
    ).toBeVisible()
    await take('as-found', 'low-20', 0.8)
    await expect(page.getByText(/Rear control: 0\.80*.W to 9\.40?.W \(10\.7 dB\)\./)).toBeVisible()
  })

  await test.step('the handover tells it as found and as left', async () => {
    await take('as-left', 'low-20', 3.9)
    await take('as-left', 'high-20', 3.9)
    await page.goto(`${house.address}/jobs/${id}/handover`)
    await expect(page.getByText(/As found: Rear control: 0\.80*.W to 9\.40?.W/)).toBeVisible()
    await expect(page.getByText(/As left: Rear control: 3\.90?.W .* It moves nothing/)).toBeVisible()
  })
})
