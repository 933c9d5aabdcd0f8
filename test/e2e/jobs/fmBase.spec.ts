import { expect, test } from '../bench'
import { Technician } from './technician'

/** An FM base set whose sheet takes two trimmers for each other: found at the bench, amended there. */
test('a sheet that was wrong is amended at the bench, and a reference at its stop is accepted', async ({
  page,
  house,
}) => {
  test.setTimeout(240_000)
  const hands = new Technician(page, house)
  // What the workshop had written down: CT3 for transmit.
  await page.goto(`${house.address}/sheets/osmund-b27/edit`)
  await page.getByRole('tab', { name: 'Adjusters' }).click()
  for (const [row, name] of [
    [2, 'CT9'],
    [3, 'CT2'],
    [2, 'CT3'],
  ] as const) {
    await page.getByLabel(`Designator, row ${row}`).fill(name)
    await page.getByLabel(`Designator, row ${row}`).press('Tab')
  }
  await page.getByLabel('Why').fill('as the earlier set')
  await page.getByRole('button', { name: 'Save as revision 2' }).click()
  await page.waitForURL(/\/sheets\/osmund-b27$/)

  await hands.bookIn({
    owner: 'Rosalind Tench',
    model: 'Osmund B27',
    serial: 'B27-0088',
    complaint: 'It comes back garbled they say, and it is weaker than it was. Needed before the season.',
    jobKind: 'Full service',
  })
  await hands.tryOnSupply('Normal', { idleA: '0.31' })
  await hands.restIsFine()
  await hands.goTo('As found')
  await hands.typeRows({
    'Reference, buffered pin': { 'Reference frequency': '10.239' },
  })
  await expect(page.locator('[data-row="reference"]'), 'read aloud').toContainText(/Read all digits/)
  const meter = { 'Power, average': 'Communications test set' }
  await hands.typeRows(
    {
      'Reference, buffered pin': { 'Reference frequency': '10.239780' },
      'Channel 20, full power': { 'Transmit frequency': '27.791410', 'Power, average': '2.8' },
      'Channel 20, 1 kHz tone': { 'Deviation, positive': '1.6', 'Deviation, negative': '1.6' },
    },
    meter,
  )

  await hands.goTo('Alignment')
  await hands.readStep('A1.0', '25')
  await hands.confirmStep()
  await hands.readStep('A1.3', '10.239780')
  await hands.turn('A1.3')
  await hands.readStep('A1.3', '10.239935')
  await hands.key('Enter')
  await expect(page.getByRole('dialog'), 'what it does elsewhere').toContainText(
    /second intermediate frequency \+74\.6\sHz on channel 1/,
  )
  await hands.key('Escape')
  await hands.acceptAsIs('at its stop, the owner wants no crystal ordered')

  await hands.readStep('A1.5', '27.791410')
  await hands.turn('A1.5')
  await hands.readStep('A1.5', '27.791410')
  const stayed = page.getByText(/although CT3 was turned/)
  await expect(stayed).toContainText('CT2')
  await hands.press(page.getByRole('button', { name: 'Put back to its mark' }).first())
  await expect(stayed).not.toContainText('Turn it back')
  await hands.press(page.getByRole('button', { name: 'Correct the sheet' }))
  await hands.press(page.getByRole('button', { name: /CT2 is the transmit trimmer/ }))
  await expect(page.getByRole('button', { name: /Adjuster: CT2 transmit trimmer/ })).toBeVisible()
  await hands.turn('A1.5')
  await hands.readStep('A1.5', '27.791265')
  await expect(stayed).toBeHidden()
  await hands.confirmStep()

  await hands.readPoints('A1.4', '0.2', '0.2', '0.3', '0.2')
  await hands.confirmStep()
  await hands.turn('A1.8')
  await hands.readStep('A1.8', '4.1')
  await hands.readPoints('A1.9', '3.9', '4.1', '3.1')
  await expect(page.locator('main')).toContainText(/spread 1\.21\sdB/)
  await hands.turn('A1.9')
  await hands.readPoints('A1.9', '3.8', '4.0', '3.8')
  await expect(page.locator('main')).toContainText(/spread 0\.22\sdB/)
  await hands.turn('A1.15')
  await hands.readStep('A1.15', '4')
  await hands.readStep('A1.13', '1.6', '1.6')
  await hands.turn('A1.13')
  await hands.readStep('A1.13', '2.4', '2.4')
  await hands.confirmStep()

  await hands.goTo('As left')
  await hands.typeRows(
    {
      'Reference, buffered pin': { 'Reference frequency': '10.239935' },
      'Channel 1, full power': { 'Power, average': '3.8' },
      'Channel 20, full power': {
        'Transmit frequency': '27.791265',
        'Power, average': '4.0',
        'Panel RF meter': '4',
      },
      'Channel 40, full power': { 'Power, average': '3.8' },
      'Channel 20, power control at its lowest end': { 'Power, average': '0.50', 'Panel RF meter': '0.9' },
      'Channel 20, 1 kHz tone': { 'Deviation, positive': '2.4', 'Deviation, negative': '2.4' },
    },
    meter,
  )
  await hands.goTo('Handover')
  const shop = await hands.paper('handover.pdf?copy=shop')
  expect(shop).toMatch(/Reference, buffered pin Frequency error \u2212220\.0 Hz below \u221265\.0 Hz below/)
  expect(shop).toMatch(/Frequency error \+160 Hz above \+15 Hz within/)
  expect(shop).toMatch(/Power, average 2\.80 W below 4\.0 W cannot tell \+1\.5 dB/)
  expect(shop).toMatch(/Deviation, positive 1\.60 kHz below 2\.40 kHz within \+3\.5 dB/)
  expect(shop).toMatch(/0\.90 W at 0\.50 W and 4\.0 W at 4\.0 W: right at the higher level only/)
  expect(shop, 'turned, and never an adjustment').toMatch(
    /Turned and put back to its mark: CT3 \(receive trimmer\)/,
  )
  expect(shop).toMatch(/Adjusted: CT1 \(reference trimmer\), CT2 \(transmit trimmer\)/)
  expect(shop).toMatch(/at its stop, the owner wants no crystal ordered/)
  expect(shop).toMatch(/Receive frequency \(part of the procedure, not done yet\)/)
  const owner = await hands.paper('handover.pdf?copy=owner')
  expect(owner).toMatch(/Measurement and alignment are not finished/)
  expect(owner).toMatch(/power 2\.80 W when it came, 4\.0 W now/)
  expect(owner).not.toMatch(/receiver (was )?aligned|sensitivity|\u2212176|1000 Hz/)

  await page.goto(`${house.address}/sheets/osmund-b27`)
  await expect(page.getByText('Revision 3 of')).toBeVisible()
  hands.tellCost('sheet amended at the bench')
})
