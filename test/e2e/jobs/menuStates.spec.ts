import { expect, test } from '../bench'
import { Technician } from './technician'

/** A menu set whose country states keep values of their own, set to just under the limit. */
test('two country states and three modes, each judged by its own rules', async ({ page, house }) => {
  test.setTimeout(240_000)
  const hands = new Technician(page, house)
  await hands.bookIn({
    owner: 'Teodor Bright',
    model: 'Corvid M9',
    serial: 'M9-20917',
    complaint: 'Give me all it can lawfully do and not one drop more. I do not want it opened up.',
    jobKind: 'Alignment',
  })
  await hands.goTo('As found')
  const meter = { 'Power, average': 'Communications test set' }
  await hands.typeRows(
    {
      'FM, home state': { 'Power, average': '3.26' },
      'AM, home state': { 'Power, average': '3.40' },
      'FM, expanded state': { 'Power, average': '4.62' },
      'AM, expanded state': { 'Power, average': '5.60' },
      'Menu P1, home state': { 'Menu value': '51' },
      'Menu P2, home state': { 'Menu value': '49' },
      'Menu D1, home state': { 'Menu value': 'FF' },
      'Menu A1, home state': { 'Menu value': '54' },
      'Menu P1, expanded state': { 'Menu value': '5C' },
      'Menu P2, expanded state': { 'Menu value': '5A' },
    },
    meter,
  )
  await hands.goTo('Alignment')
  await hands.readStep('M9.1', '65')
  await hands.confirmStep()
  await hands.readStep('M9.2', '51')
  await hands.useMeter('M9.5', 'Power, average', 'Communications test set')
  await hands.readStep('M9.5', '9.10', '78')
  await hands.readStep('M9.5', '4.62', '5C')
  const coach = page.getByRole('region', { name: 'Menu values' })
  await expect(coach).toContainText(/Set 55h/)
  await expect(coach).toContainText(/was 5Ch as found/)
  await hands.readStep('M9.5', '3.78', '55')
  await hands.readStep('M9.5', '3.74', '55')
  await hands.confirmStep()
  await hands.readStep('M9.6', '3.76', '4C')
  await hands.confirmStep()
  await page.locator('[data-step="M9.3"]').click()
  await expect(coach, 'its own original in this state').toContainText(/was 51h as found/)
  await hands.readStep('M9.3', '3.78', '55')
  await hands.confirmStep()
  await expect(page.locator('[data-step="M9.5"]'), 'the other state is as it was').toContainText('within')
  await hands.readStep('M9.4', '3.77', '4C')
  await hands.confirmStep()
  await hands.readPoints('M9.10', '3.77', '3.78', '3.47')
  await hands.goTo('As left')
  await hands.typeRows({
    'FM, home state': { 'Transmit frequency': '27.205061', 'Power, average': '3.78' },
    'AM, home state': { 'Power, average': '3.77' },
    'FM-UK, home state': { 'Transmit frequency': '27.791312', 'Power, average': '3.47' },
    'FM, expanded state': { 'Power, average': '3.74' },
    'AM, expanded state': { 'Power, average': '3.76' },
    'Menu P1, home state': { 'Menu value': '55' },
    'Menu P2, home state': { 'Menu value': '4C' },
    'Menu P1, expanded state': { 'Menu value': '55' },
    'Menu P2, expanded state': { 'Menu value': '4C' },
  })
  await hands.goTo('Handover')
  const shop = await hands.paper('handover.pdf?copy=shop')
  expect(shop).toMatch(/FM, home state Power, average 3\.26 W below 3\.8 W within \+0\.6 dB/)
  expect(shop).toMatch(/AM, expanded state Power, average 5\.6 W above 3\.8 W within \u22121\.7 dB/)
  expect(shop, 'by the rules of its own plan, and no target').toMatch(
    /FM-UK, home state Power, average not measured 3\.5 W within/,
  )
  expect(shop).toMatch(/Menu P1, home state Menu value 51h 55h/)
  expect(shop).toMatch(/Menu P1, expanded state Menu value 5Ch 55h/)
  expect(shop).toMatch(/FM-UK, home state Frequency error not measured \+62 Hz within/)
  expect(shop).toMatch(/Compliance with CEPT 27 MHz has not been demonstrated/)
  expect(shop).toMatch(/Compliance with UK 27 MHz FM has not been demonstrated/)
  expect(shop).toMatch(/Rule set R-EU, .* Rule set R-UK27, /)
  expect(shop, 'what nobody measured, or inferred from a value on record').not.toMatch(
    /inferred|586 kHz|[Dd]epth 84|weak/,
  )
  await hands.closeItems([[/Home state at the end/, 'home']])
  const owner = await hands.paper('handover.pdf?copy=owner')
  expect(owner).toMatch(/FM, home state: power 3\.26 W when it came, 3\.8 W now/)
  expect(owner, 'the state that it may not be used in').not.toMatch(/expanded state: power/)
  hands.tellCost('two country states')
})
