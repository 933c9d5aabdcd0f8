import type { SheetView } from '../../shared/sheetFile'
import { expect, test } from './bench'

test(
  'two people on one sheet: the second sees the difference field ' +
    'by field, chooses, and nothing of either is lost',
  async ({ page, house, browser }) => {
    test.setTimeout(120_000)
    // A sheet of the workshop's own.
    await page.goto(`${house.address}/sheets/new`)
    await page.getByLabel('Model').fill('Curlew 3')
    await page.getByText('FM mobile, three crystals').click()
    await page.getByRole('button', { name: 'Create sheet' }).click()
    await page.getByRole('button', { name: 'Save the sheet' }).click()
    await page.waitForURL(/\/sheets\/curlew-3$/)

    const other = await (await browser.newContext()).newPage()
    for (const p of [page, other]) {
      await p.goto(`${house.address}/sheets/curlew-3/edit`)
      await p.waitForFunction(() => document.documentElement.dataset.ready === 'true')
    }
    const write = async (p: typeof page, field: string, text: string) => {
      await p.getByLabel(field, { exact: true }).fill(text)
      await p.getByLabel(field, { exact: true }).press('Tab')
    }
    const save = async (p: typeof page, why: string) => {
      await p.getByLabel('Why').fill(why)
      await p.getByRole('button', { name: /^Save as revision/ }).click()
    }
    await write(page, 'Load', 'oil load')
    await save(page, 'load renewed')
    await expect(page.getByText('Revision 2 of')).toBeVisible()

    await write(other, 'Load', 'dry load')
    await write(other, 'In one line', 'FM mobile of the canal')
    await save(other, 'mine')
    const conflict = other.getByRole('region', { name: 'Changed by someone else' })
    await expect(conflict).toContainText('oil load')
    await expect(conflict).toContainText('dry load')
    await conflict
      .getByRole('button', { name: /Use saved version/ })
      .first()
      .click()
    await save(other, 'put together')
    await expect(other.getByText('Revision 3 of')).toBeVisible()
    const { body } = await house.request('GET', '/api/sheets/curlew-3')
    expect((body as SheetView).sheet).toMatchObject({
      load: 'oil load',
      description: 'FM mobile of the canal',
    })
    await other.context().close()
  },
)

test(
  'a new FM base sheet from nothing: kind, channels and rules are ' +
    'chosen, a rename carries through, a problem leads to its place',
  async ({ page, house }) => {
    test.setTimeout(120_000)
    await page.goto(`${house.address}/sheets/new`)
    await page.getByLabel('Model').fill('Bittern B1')
    await page.getByRole('button', { name: 'Create sheet' }).click()
    const choose = async (label: string, option: RegExp) => {
      await page.getByLabel(label, { exact: true }).press('ArrowDown')
      await page.getByRole('option', { name: option }).first().click()
    }
    await choose('Kind of set', /FM/)
    await choose('Channels', /27\.6|UK/)
    await choose('Default rule set', /UK/)
    await page.getByRole('tab', { name: 'Adjusters' }).click()
    await page.getByRole('button', { name: 'Add adjuster' }).click()
    await page.getByLabel('Designator, row 1').fill('CT2')
    await page.getByLabel('Name, row 1').fill('TX trimmer')
    await page.getByLabel('Name, row 1').press('Tab')
    await page.getByRole('tab', { name: 'Procedure' }).click()
    await page.getByRole('button', { name: /^1 / }).first().click()
    await page.getByLabel('Adjusters, in this order').first().press('ArrowDown')
    await page.getByRole('option', { name: /CT2/ }).click()
    await page.keyboard.press('Escape')
    await page.getByRole('tab', { name: 'Adjusters' }).click()
    await page.getByLabel('Designator, row 1').fill('CT3')
    await page.getByLabel('Designator, row 1').press('Tab')
    await page.getByRole('button', { name: 'Save the sheet' }).click()
    await page.waitForURL(/\/sheets\/bittern-b1$/)
    const { sheet } = (await house.request('GET', '/api/sheets/bittern-b1')).body as SheetView
    expect(sheet).toMatchObject({ planId: 'uk27', defaultRuleSetId: 'R-UK27' })
    expect(sheet.kind).toMatch(/^fm/)
    expect(sheet.procedure.flatMap(s => s.adjusters)).toEqual(['CT3'])
  },
)
