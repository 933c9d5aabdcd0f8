import { expect, test } from './bench'

/**
 * "About 20 W on AM and nobody understands a word": measured in every mode and band, told apart by SSB being
 * right, proved by a dead control.
 */
test('a runaway multimode is diagnosed, proved by its dead control, and counts among the faults of its model', async ({
  page,
  house,
}) => {
  const jobs = (await house.request('GET', '/api/jobs')).body as { job: { id: string; number: number } }[]
  const { id } = jobs.find(j => j.job.number === 227)!.job
  await page.goto(`${house.address}/jobs/${id}/as-found`)
  await expect(page.getByText('35 of 35')).toBeVisible()
  await expect(page.locator('[data-row="am-A1"]')).toContainText('coverage expanded')

  await page.goto(`${house.address}/jobs/${id}/findings`)
  // Three of them lie on channels that the rule set is about, the others on bands it says nothing of.
  await expect(page.getByText(/AM, 15 rows: power, average.*above tolerance/)).toBeVisible()
  await expect(page.getByText(/AM, 3 rows: power, average.*above the legal limit/)).toBeVisible()
  await expect(page.getByText('confirmed', { exact: true })).toBeVisible()
  const power = page.getByRole('region', { name: 'Power' })
  await expect(power.getByRole('listitem').first()).toContainText('Series AM regulator shorted')
  // The lost modulation is no second fault.
  await expect(page.getByRole('region', { name: 'Modulation' })).toContainText(
    'Probably a result of Series AM regulator shorted',
  )
  await expect(power.getByText('Confirming test')).toBeVisible()
  await power.getByRole('button', { name: 'changes nothing' }).click()
  await power
    .getByRole('button', { name: /Series AM regulator shorted/ })
    .first()
    .click()
  await expect(power.getByText('answered by hand')).toBeVisible()
  await power.getByRole('button', { name: 'Confirm cause…' }).click()
  await page.getByRole('button', { name: /^Confirm cause Ctrl/ }).click()
  await expect(page.getByRole('region', { name: 'Work to do' })).toContainText('low carrier')

  await page.goto(`${house.address}/sheets/larkfield-lx8`)
  await expect(page.getByRole('region', { name: 'Other sets of this model' })).toContainText(
    'series AM regulator shorted 1',
  )
})

test('a needle at its stop is kept as a bound, a reading that cannot be true with a reason', async ({
  page,
  house,
}) => {
  const id = await house.newJob({ sheetId: 'corvid-m6', ruleSetId: 'R-EU', serial: 'M6-1' })
  await page.goto(`${house.address}/jobs/${id}/as-found`)
  await page.locator('[data-row="am-standard-high"]').click({ position: { x: 60, y: 12 } })
  await page.keyboard.press('t')
  for (const value of ['27.18501', '>20', '13.8', '1.2']) {
    await page.keyboard.type(value)
    await page.keyboard.press('Enter')
  }
  const row = page.locator('[data-row="am-standard-high"]')
  await expect(row).toContainText(/>\s20/)
  await row.getByRole('button', { name: 'Confirm reading…' }).first().click()
  await page.getByLabel('Reason').fill('needle at the stop of the 20 W meter, another one follows')
  await page.getByRole('button', { name: /^Confirm reading Ctrl/ }).click()
  await expect(row).toContainText('Confirmed by user: needle at the stop')
  await page.locator('[data-row="menu-01"]').click({ position: { x: 60, y: 12 } })
  await page.keyboard.press('t')
  await page.keyboard.type('6Eh')
  await page.keyboard.press('Enter')
  await expect(page.locator('[data-row="menu-01"]')).toContainText('6E')
})
