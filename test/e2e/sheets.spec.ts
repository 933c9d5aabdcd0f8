import { readFileSync } from 'node:fs'
import type { SheetFile, SheetView } from '../../shared/sheetFile'
import { testHouse } from '../integration/house'
import { expect, said, test } from './bench'

test(
  'a sheet from nothing: written, used, corrected in the ' +
    'middle of a run, exported, imported elsewhere, equal',
  async ({ page, house }) => {
    test.setTimeout(120_000)
    await page.goto(`${house.address}/sheets/new`)
    await page.getByLabel('Model').fill('Tern 5')
    await page.getByRole('button', { name: 'Create sheet' }).click()

    // The set
    await page.getByLabel('In one line').fill('AM mobile with one preset')
    await page.getByRole('tab', { name: 'Adjusters' }).click()
    await page.getByRole('button', { name: 'Add adjuster' }).click()
    await page.getByLabel('Designator, row 1').fill('RV4')
    await page.getByLabel('Name, row 1').fill('carrier preset')
    await page.getByLabel('Name, row 1').press('Tab')
    await page.getByLabel('In the circuit, row 1').selectOption('carrier-preset')
    await page.getByLabel('Where, row 1').fill('left of the regulator')
    await page.getByLabel('Where, row 1').press('Tab')
    await page.locator('input[type=file]').setInputFiles({
      name: 'more.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from(
        'designator,name,kind,where\nRV5,depth preset,preset,right of the regulator\n,nothing,,\n',
      ),
    })
    await expect(page.getByText('1 added, 0 updated. Row 3 has no designator.')).toBeVisible()
    // On the board, by the keys
    await page.getByRole('tab', { name: 'Board' }).click()
    await page.getByRole('button', { name: 'RV4 carrier preset' }).click()
    for (let i = 0; i < 5; i++) await page.keyboard.press('ArrowRight')
    // A step that turns it, after the one that is there
    await page.getByRole('tab', { name: 'Procedure' }).click()
    await page.getByRole('button', { name: 'Add step' }).click()
    await page.getByLabel('Title', { exact: true }).first().fill('Carrier')
    await page.getByLabel('Instruction').fill('Set the carrier preset.')
    await page.getByLabel('Adjusters, in this order').press('ArrowDown')
    await page.getByRole('option', { name: /RV4/ }).click()
    await page.keyboard.press('Escape')
    await page.getByLabel('Depends on').press('ArrowDown')
    await page.getByRole('option', { name: /^1 / }).click()
    await page.keyboard.press('Escape')
    // What does not hold together is named and cannot be saved
    await page.getByRole('button', { name: /^2 Carrier/ }).click()
    await page.getByRole('button', { name: 'move Carrier with the arrow keys, or drag it' }).press('ArrowUp')
    await expect(page.getByText('"Carrier" depends on "Power check before adjustment"')).toBeVisible()
    await page.getByLabel('Who').fill('Ida')
    await page.getByRole('button', { name: 'Save the sheet' }).click()
    await expect(page.getByRole('heading', { name: 'Tern 5' })).toBeVisible()
    await page.waitForURL(/\/sheets\/tern-5$/)

    // Used
    const id = await house.newJob({ sheetId: 'tern-5', ruleSetId: 'R-SHOP', serial: '7' })
    await page.goto(`${house.address}/jobs/${id}/align`)
    await expect(page.getByRole('heading', { name: 'Power check before adjustment' })).toBeVisible()
    await page.keyboard.press('t')
    await page.keyboard.type('3')
    await page.keyboard.press('Enter')
    await expect(said(page)).toContainText('typed readings saved')
    await page.locator('[data-step="2"]').click()
    await expect(page.getByRole('heading', { name: 'Carrier' })).toBeVisible()
    // "It was the right one": two presses
    await page.getByRole('button', { name: /^Where: left of the regulator/ }).click()
    await page.getByRole('button', { name: 'right of the regulator' }).first().click()
    await expect(said(page)).toContainText('Corrected: RV4, where it is')
    await expect(page.getByRole('button', { name: /^Where: right of the regulator/ })).toBeVisible()
    await expect
      .poll(async () => ((await house.request('GET', '/api/sheets/tern-5')).body as SheetView).newest)
      .toBe(2)

    // The next job begins with it, says so, and makes it surer
    const next = await house.newJob({ sheetId: 'tern-5', ruleSetId: 'R-SHOP', serial: '8' })
    await page.goto(`${house.address}/jobs/${next}/align`)
    await page.locator('[data-step="2"]').click()
    await expect(page.getByText(/corrected on .*, not confirmed yet/)).toBeVisible()
    await page.getByRole('button', { name: /^Where: right/ }).click()
    await page.getByRole('button', { name: 'Confirm entry' }).click()
    await expect
      .poll(
        async () =>
          ((await house.request('GET', '/api/sheets/tern-5')).body as SheetView).trust.find(
            t => t.path === 'adjuster/RV4/where',
          )?.confirmed,
      )
      .toBe(1)
    // Two revisions side by side
    await page.goto(`${house.address}/sheets/tern-5`)
    await page.getByRole('button', { name: 'Compare' }).click()
    await expect(page.getByRole('row', { name: /Adjuster RV4 where it is/ })).toContainText(
      'left of the regulator',
    )

    // Exported, and imported into a workshop that has nothing
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('link', { name: 'Export' }).click(),
    ])
    const file = JSON.parse(readFileSync(await download.path(), 'utf8')) as SheetFile
    const elsewhere = await testHouse({ demo: false })
    try {
      await page.goto(`${elsewhere.address}/sheets`)
      await page.getByLabel('sheet file').setInputFiles({
        name: 'tern-5.json',
        mimeType: 'application/json',
        buffer: Buffer.from(JSON.stringify(file)),
      })
      await expect(page.getByText('Tern 5 imported, revision 2.')).toBeVisible()
      expect((await elsewhere.request('GET', '/api/sheets/tern-5/file.json')).body).toEqual(file)
    } finally {
      await elsewhere.stop()
    }
  },
)

test('a family template is a sheet at once; a draft survives a reload; a change is taken back', async ({
  page,
  house,
}) => {
  await page.goto(`${house.address}/sheets/new`)
  await page.getByLabel('Model').fill('Plover 2')
  await page.getByText('FM mobile, three crystals').click()
  await page.getByRole('button', { name: 'Create sheet' }).click()
  await page.getByRole('button', { name: 'Save the sheet' }).click()
  await page.waitForURL(/\/sheets\/plover-2$/)
  await expect(page.getByText('to be found on this set').first()).toBeVisible()
  await page.getByRole('link', { name: 'Edit' }).click()
  await page.getByLabel('Load').fill('oil load')
  await page.getByLabel('Load').press('Tab')
  await expect(page.getByText('1 line changed')).toBeVisible()
  await page.reload()
  await expect(page.getByText('unsaved draft from last time')).toBeVisible()
  await page.getByRole('button', { name: 'Discard the draft' }).click()
  await page.getByLabel('Load').fill('dry load')
  await page.getByLabel('Load').press('Tab')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByText('0 lines changed')).toBeVisible()
  await page.getByRole('button', { name: 'Redo' }).click()
  await page.getByRole('button', { name: 'Save as revision 2' }).click()
  await expect(page.getByText('Give a short reason for the change')).toBeVisible()
  await page.getByLabel('Why').fill('load renewed')
  await page.getByRole('button', { name: 'Save as revision 2' }).click()
  await expect(page.getByText('Revision 2 of')).toBeVisible()
})
