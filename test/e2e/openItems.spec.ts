import { randomUUID } from 'node:crypto'
import type { JobEvent } from '../../core/run'
import { fmRow } from '../fixtures/fmRow'
import { expect, test } from './bench'

test('what was not done is closed in a few presses, and only what stood there when the reason was given', async ({
  page,
  house,
}) => {
  const id = await house.newJob()
  const events = async () =>
    ((await house.request('GET', `/api/jobs/${id}`)).body as { events: JobEvent[] }).events
  await page.goto(`${house.address}/jobs/${id}/handover`)
  const list = page.getByRole('region', { name: 'Open items' })

  await test.step('a dozen rows are one line, which shows them on demand', async () => {
    await expect(list.getByRole('listitem').filter({ visible: true })).not.toHaveCount(0)
    expect(await list.getByRole('listitem').filter({ visible: true }).count()).toBeLessThan(10)
    await list.getByText('Rows not fully measured as left: 12').click()
    await expect(list.getByText('Channel 20, high power').filter({ visible: true }).first()).toBeVisible()
  })

  await test.step('one reason closes them, as one entry', async () => {
    await list.getByRole('button', { name: 'Close all 12' }).last().click()
    const dialog = page.getByRole('dialog')
    await expect(dialog).toContainText('Close 12 open items with one reason')
    await dialog.getByLabel(/How it was resolved/).fill('checked only, nothing was turned')
    await dialog.getByRole('button', { name: 'Close item' }).click()
    await expect(list.getByText('Rows not fully measured as left: 12')).toHaveCount(0)
    await list.getByText('Closed: 12').click()
    await expect(
      list.getByText('closed: checked only, nothing was turned').filter({ visible: true }).first(),
    ).toBeVisible()
    await expect.poll(async () => (await events()).map(e => e.kind)).toEqual(['items-settled'])
  })

  await test.step('a row that is measured afterwards and is outside is open again', async () => {
    const row = fmRow()
    const { status } = await house.request('POST', `/api/jobs/${id}/events`, {
      ...row,
      phase: 'as-left',
      pointId: 'low-20',
      conditions: { ...row.conditions, lowPower: true },
      readings: [
        { ...row.readings[0], value: 0.9, bound: undefined },
        { ...row.readings[0], id: randomUUID(), quantity: 'supplyA', value: 0.5, bound: undefined },
      ],
    })
    expect(status).toBe(201)
    await page.reload()
    await expect(list.getByText(/as left, not within/).first()).toBeVisible()
    await expect(list.getByText('Closed: 11')).toBeVisible()
  })
})
