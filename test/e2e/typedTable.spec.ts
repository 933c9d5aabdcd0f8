import type { JobEvent } from '../../core/run'
import { modelSheet } from '../../core/sheet'
import { expect, test } from './bench'

const SHEET = modelSheet('osmund-27f')
/** What a healthy set shows, as it is read off. */
const READ: Partial<Record<string, string>> = {
  powerW: '3,8',
  supplyV: '13.8',
  supplyA: '0.95 A',
  referenceHz: '10240.001 kHz',
  deviationPositiveHz: '2.4',
  deviationNegativeHz: '2.3',
  panelPowerW: '4',
  sensitivityV: '0.3',
}

test('as found is typed from the keyboard alone, kept row by row, and a column is pasted', async ({
  page,
  house,
}) => {
  const id = await house.newJob()
  const rows = async () =>
    ((await house.request('GET', `/api/jobs/${id}`)).body as { events: JobEvent[] }).events.filter(
      e => e.kind === 'row-taken',
    )
  await page.goto(`${house.address}/jobs/${id}/as-found`)
  await expect(page.getByRole('heading', { name: 'As found' })).toBeVisible()
  await page.keyboard.press('g')
  const table = page.getByRole('region', { name: 'Type as a table' })
  await expect(table.locator('input:focus')).toHaveCount(1)

  await test.step('value, Enter, value, Enter: every row is there without another key', async () => {
    await expect(table).toContainText(/Set:.*channel/i)
    for (const point of SHEET.matrix)
      for (const { quantity } of point.wants) {
        const carrier = `${27_591_250 + 10_000 * (point.state.channel ?? 0) + 8} Hz`
        await page.keyboard.type(quantity === 'carrierHz' ? carrier : (READ[quantity] ?? '1'))
        await page.keyboard.press('Enter')
      }
    await expect(table.getByRole('status')).toContainText('All saved')
    await expect.poll(async () => (await rows()).map(r => r.pointId)).toEqual(SHEET.matrix.map(p => p.id))
  })

  await test.step('a pasted column corrects the readings that were there', async () => {
    const powers = SHEET.matrix.filter(p => p.wants.some(w => w.quantity === 'powerW'))
    const first = table.getByLabel(`${powers[0]!.title}, Power, average`)
    await first.focus()
    await first.evaluate(
      (input, text) => {
        const data = new DataTransfer()
        data.setData('text/plain', text)
        input.dispatchEvent(
          new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }),
        )
      },
      powers.map((_, i) => (3 + i / 10).toFixed(1)).join('\n'),
    )
    await page.keyboard.press('Control+Enter')
    await expect(first).toHaveValue('3.0')
    await expect.poll(async () => (await rows()).length).toBe(SHEET.matrix.length + powers.length)
  })

  await test.step('what cannot be read is named and stays; Esc does not lose it', async () => {
    const field = table.getByRole('textbox').first()
    await field.fill('about three')
    await page.keyboard.press('Escape')
    await expect(table).toBeVisible()
    await expect(field).toHaveAttribute('aria-invalid', 'true')
    await expect(field).toHaveValue('about three')
    await field.fill('')
    await page.keyboard.press('Escape')
    await expect(table).toBeHidden()
    await expect(page.getByText(/12 of 12|rows/).first()).toBeVisible()
  })
})
