import { expect, test } from './bench'
import { choose, chooseModel } from './choose'

test('a set is only looked at, grows to a repair, changes its model, is withdrawn and comes back', async ({
  page,
  house,
}) => {
  const phases = () => page.getByRole('navigation', { name: 'Job phases' }).getByRole('link')

  await test.step('booked in for a check it has the phases of a check, and no other is asked', async () => {
    await page.goto(house.address)
    await page.getByRole('button', { name: /Book in a set/ }).click()
    await page.getByLabel('Owner', { exact: true }).fill('Hester Quayle')
    await chooseModel(page, 'Osmund 40A')
    await page.getByLabel('Serial number', { exact: true }).fill('40A-11873')
    await page.getByLabel(/Complaint/).fill('The lock-keeper hears me two channels away.')
    await choose(page, 'Kind of job', 'Check and advise')
    await page.getByRole('button', { name: /Start the job/ }).click()
    await expect(phases()).toHaveCount(5)
    await expect(phases()).toContainText(['Intake', 'Inspection', 'As found', 'Findings', 'Handover'])
    await phases().filter({ hasText: 'Handover' }).click()
    const items = page.getByRole('region', { name: 'Open items' })
    await expect(items.getByText(/Rows not fully measured as found/)).toBeVisible()
    await expect(items.getByText(/as left|Alignment steps/)).toHaveCount(0)
  })

  await test.step('the next set is offered what the last one was here for', async () => {
    const before = page.url()
    await page.goto(house.address)
    await page.getByRole('button', { name: /Book in a set/ }).click()
    await expect(page.locator('.v-select', { hasText: 'Kind of job' })).toContainText('Check and advise')
    await page.goto(before)
  })

  await test.step('it grows to a repair, in one job', async () => {
    await page.getByRole('button', { name: 'Check and advise' }).click()
    const dialog = page.getByRole('dialog')
    await dialog.getByRole('radio', { name: /^Repair/ }).click()
    await dialog.getByRole('button', { name: 'Change' }).click()
    await expect(dialog).toBeHidden()
    await expect(phases()).toHaveCount(8)
    await expect(page.getByRole('button', { name: 'Repair' })).toBeVisible()
  })

  await test.step('the model was the wrong one: it is put right from the intake', async () => {
    await phases().filter({ hasText: 'Intake' }).click()
    await page.getByRole('button', { name: /Change model/ }).click()
    const dialog = page.getByRole('dialog')
    await dialog.getByRole('radio', { name: /wrong model/ }).click()
    await dialog.getByLabel('Model', { exact: true }).press('ArrowDown')
    await page.getByRole('option', { name: 'Osmund 27F' }).click()
    await dialog.getByRole('button', { name: 'Change model' }).click()
    await expect(dialog).toBeHidden()
    await expect(page.locator('header .name')).toContainText('Osmund 27F')
  })

  await test.step('withdrawn it leaves the bench and says so; reinstated it lies there again', async () => {
    const job = page.url()
    await page.getByRole('button', { name: /Withdraw job/ }).click()
    await page.getByRole('dialog').getByLabel('Reason').fill('booked in twice')
    await page.getByRole('dialog').getByRole('button', { name: 'Withdraw job' }).click()
    await expect(page.getByText(/Withdrawn .*: booked in twice/)).toBeVisible()
    await page.goto(house.address)
    await expect(page.getByText('40A-11873')).toHaveCount(0)
    await page.goto(job)
    await page.getByRole('button', { name: /Reinstate/ }).click()
    await page.getByRole('dialog').getByLabel('Reason').fill('it was another one')
    await page.getByRole('dialog').getByRole('button', { name: 'Reinstate' }).click()
    await expect(page.getByText(/Withdrawn .*: booked in twice/)).toHaveCount(0)
    await page.goto(house.address)
    await expect(page.getByText('40A-11873')).toHaveCount(1)
  })
})
