import { instrumentProfile, profileQuantity } from '../../core/instrument'
import type { Quantity } from '../../core/quantity'
import type { JobEvent } from '../../core/run'
import type { Instrument } from '../../shared/instrument'
import { deliver, expect, ladder, said, test } from './bench'

test('keyboard only: intake, a typed row from the number keys, a strike-out, a step', async ({
  page,
  house,
}) => {
  await deliver(house)
  const bench = (await house.request('GET', '/api/instruments')).body as Instrument[]
  /** Where nobody chose one: the first instrument of the bench that reads it. */
  const credited = (quantity: Quantity) =>
    bench.find(i => profileQuantity(instrumentProfile(i.profileId), quantity))!.name
  await page.goto(house.address)
  await expect(page.getByText('W-0231', { exact: true })).toBeVisible()
  await page.keyboard.press('j')
  await expect(page.getByLabel('Owner', { exact: true })).toBeFocused()
  await page.keyboard.type('Quarry lorry 7')
  // At the pace of a hand: each field takes the focus before the next Tab.
  const tab = async () => {
    await page.waitForTimeout(150)
    await page.keyboard.press('Tab')
  }
  await tab()
  await tab()
  // The list of models answers to the letters of a name.
  await page.keyboard.type('Osmund 27F')
  await expect(page.locator('.v-select').first()).toContainText('Osmund 27F')
  await tab()
  await expect(page.getByLabel('Serial')).toBeFocused()
  await page.keyboard.type('40622')
  await page.keyboard.press('Tab')
  // The set was here before: its last visit and how it was left are shown at once.
  await expect(page.getByRole('region', { name: 'Earlier jobs of this set' })).toContainText(
    /W-0229.*Last as left.*Channel 20, high power, power, average 3\.8/s,
  )
  await expect(page.getByLabel('Complaint')).toBeFocused()
  await page.keyboard.type('weak')
  for (let i = 0; i < 5; i++) await page.keyboard.press('Tab')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: 'First power and inspection' })).toBeVisible()
  await page.keyboard.press('>')
  await expect(page.getByRole('heading', { name: 'As found' })).toBeVisible()
  const id = page.url().split('/')[4]!

  // The second row, typed: digits, Enter, digits, Enter; decimal comma and units as they come.
  await page.keyboard.press('ArrowDown')
  for (const text of ['27,60118', '2.2 W', '13.8', '826 mA']) {
    if (text === '27,60118') await page.keyboard.press('2')
    await page.keyboard.type(text === '27,60118' ? '7,60118' : text)
    await page.keyboard.press('Enter')
  }
  await expect(said(page)).toContainText('Channel 1, high power: typed readings saved')
  // Kept in the browser first: the server has it a moment later.
  const eventsNow = async () =>
    ((await house.request('GET', `/api/jobs/${id}`)).body as { events: JobEvent[] }).events
  await expect.poll(async () => (await eventsNow()).some(e => e.kind === 'row-taken')).toBe(true)
  const row = (await eventsNow()).find(e => e.kind === 'row-taken')!
  expect(row).toMatchObject({ pointId: 'high-1', conditions: { supplyV: 13.8 } })
  expect((row as Extract<JobEvent, { kind: 'row-taken' }>).readings).toMatchObject([
    { quantity: 'carrierHz', value: 27_601_180, source: 'typed', instrument: credited('carrierHz') },
    { quantity: 'powerW', value: 2.2, instrument: credited('powerW') },
    { quantity: 'supplyV', value: 13.8 },
    { quantity: 'supplyA', value: 0.826 },
  ])

  // A wrong entry is named, keeps what was typed, and Esc leaves.
  await page.keyboard.press('ArrowUp')
  await page.keyboard.press('t')
  await page.keyboard.type('ten megahertz')
  await page.keyboard.press('Enter')
  await expect(page.getByText(/"ten megahertz" is not a number/)).toBeVisible()
  await page.keyboard.press('Escape')

  // Struck out with a reason, not deleted.
  await page.keyboard.press('u')
  await expect(page.getByRole('dialog').getByLabel('Reason')).toBeFocused()
  await page.keyboard.type('read off the wrong meter')
  await page.keyboard.press('Control+Enter')
  await expect(said(page)).toContainText('Struck out')

  await page.goto(`${house.address}/jobs/${id}/align`)
  await expect(page.getByText('Alignment, 0 of 11 steps done')).toBeVisible()
  // A hand presses when it sees the reading, not before the first one came.
  await expect(page.getByTestId('big')).toHaveText(/\d/)
  await page.keyboard.press(' ')
  await expect(ladder(page, 'A1.0')).toHaveAttribute('data-status', 'inside')
  await page.keyboard.press('Enter')
  await expect(page.getByText('Alignment, 1 of 11 steps done')).toBeVisible()
  await expect(ladder(page, 'A1.3')).toHaveAttribute('aria-current', 'step')
  await page.keyboard.press(']')
  await expect(ladder(page, 'A1.4')).toHaveAttribute('aria-current', 'step')
  await page.keyboard.press('[')
  await expect(ladder(page, 'A1.3')).toHaveAttribute('aria-current', 'step')
  await page.keyboard.press('?')
  await expect(page.getByText('take the reading, or all readings of the row')).toBeVisible()
  await page.keyboard.press('Escape')
})

test('a serial number that was here before names its model, and one press chooses it', async ({
  page,
  house,
}) => {
  await page.goto(house.address)
  await page.keyboard.press('j')
  await page.getByLabel('Serial').fill('40622')
  await page.getByLabel('Complaint').focus()
  const beside = page.getByRole('region', { name: 'Sets with this serial number' })
  await expect(beside).toContainText(/W-0229.*Osmund 27F/)
  // Whether it is this set nobody has said yet: how that one was left is not shown as its own.
  await expect(beside).not.toContainText('Last as left')
  await beside.getByRole('button', { name: 'It is the Osmund 27F' }).click()
  await expect(page.locator('.v-select').first()).toContainText('Osmund 27F')
  await expect(page.getByRole('region', { name: 'Earlier jobs of this set' })).toContainText('Last as left')
})
