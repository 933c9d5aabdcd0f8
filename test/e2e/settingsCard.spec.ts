import { expect, test } from './bench'
import { choose } from './choose'

test('a settings card: written beside the readings, put right, told what it lacks, printed', async ({
  page,
  house,
}) => {
  const id = await house.newJob({ sheetId: 'quillon-hb150', ruleSetId: 'R-AM', jobKind: 'check' })
  const dialog = page.getByRole('dialog')
  const line = (name: string) => page.getByRole('row').filter({ hasText: name })

  await test.step('folded until it is asked for; it begins with the first band', async () => {
    await page.goto(`${house.address}/jobs/${id}/as-found`)
    await expect(page.getByRole('button', { name: 'Add settings' })).toHaveCount(0)
    await page.getByRole('button', { name: /Settings card nothing written down/ }).click()
    await page.getByRole('button', { name: 'Add settings' }).click()
    await expect(dialog.locator('.v-select', { hasText: 'Band' })).toContainText('80 m')
    await expect(dialog.getByRole('button', { name: 'Save' }), 'nothing is written yet').toBeDisabled()
    await dialog.getByLabel('Plate capacitor').fill('7.1')
    await dialog.getByRole('button', { name: 'Save' }).click()
    await expect(dialog).toBeHidden()
    await expect(line('80 m')).toContainText('7.1')
  })

  await test.step('a control that the sheet does not know, and the next band by itself', async () => {
    await page.getByRole('button', { name: 'Add settings' }).click()
    await expect(dialog.locator('.v-select', { hasText: 'Band' })).toContainText('40 m')
    await choose(page, 'Connected to', 'antenna')
    await dialog.getByRole('button', { name: 'Add control' }).click()
    await dialog.getByLabel('Control', { exact: true }).fill('Tuner L')
    await dialog.getByLabel('Position', { exact: true }).fill('14 turns')
    await dialog.getByRole('button', { name: 'Save' }).click()
    await expect(line('40 m')).toContainText('14 turns')
  })

  await test.step('what was misread is changed; what should not stand is struck out with a reason', async () => {
    await page.getByRole('button', { name: /change: 80 m/ }).click()
    await dialog.getByLabel('Plate capacitor').fill('6.9')
    await dialog.getByRole('button', { name: 'Save' }).click()
    await expect(line('80 m')).toContainText('6.9')
    await page.getByRole('button', { name: /strike out: 80 m/ }).click()
    await dialog.getByLabel('Reason').fill('another antenna')
    await dialog.getByRole('button', { name: 'Strike out' }).click()
    await expect(line('80 m'), 'what stood before it counts again').toContainText('7.1')
  })

  await test.step('the handover says which bands it lacks, and has the paper', async () => {
    await page.goto(`${house.address}/jobs/${id}/handover`)
    const items = page.getByRole('region', { name: 'Open items' })
    await expect(
      items.getByText(/no positions of the controls written down for 20 m, 15 m, 10 m/),
    ).toBeVisible()
    await expect(items.getByText(/no positions with the antenna written down for 80 m/)).toBeVisible()
    const href = await page.getByRole('link', { name: 'Settings card (PDF)' }).getAttribute('href')
    const answer = await page.request.get(house.address + href)
    expect(answer.headers()['content-type']).toBe('application/pdf')
  })
})
