import { expect, test } from '../bench'
import { Technician } from './technician'

/** AM and FM carriers run away while SSB is right. */
test('AM and FM run away, SSB is right: the regulator that they share', async ({ page, house }) => {
  test.setTimeout(240_000)
  const hands = new Technician(page, house)
  await hands.bookIn({
    owner: 'Severin Lodge',
    model: 'Larkfield LX-7',
    family: 'multimode',
    serial: 'L7-1204',
    complaint: 'The knob at the back used to turn it up and down. Now it sits at full and folk say I bark.',
    jobKind: 'Repair',
    claims: [{ kind: 'over', number: '20', quantity: 'power, high' }],
  })
  await hands.goTo('As found')
  await hands.typeRows({
    'USB D 19, two tones': { PEP: '24' },
    'AM D 19, carrier': { 'Power, average': '>25', 'Supply': '13.8', 'Supply current': '5.2' },
    'FM D 19, carrier': { 'Power, average': '>25' },
  })
  await hands.goTo('Findings')
  const power = hands.causesOf('Power')
  await expect(power.first()).toContainText('Series AM regulator shorted')
  await page
    .getByRole('region', { name: 'Power', exact: true })
    .getByRole('button', { name: 'changes nothing' })
    .click()
  await hands.confirmCause(
    'Power',
    /Series AM regulator shorted/,
    'emitter to collector under 0.1 ohm, tester says short',
  )
  await hands.goTo('Repair')
  await hands.addWork('Part replaced', {
    Part: 'Q31',
    Removed: 'shorted',
    Fitted: 'new, insulator and paste',
  })
  await hands.addWork('Work done', {
    'Work done': 'stop resistor fitted to the rear control',
    'Where': 'rear control',
  })
  await hands.goTo('As left')
  await hands.typeRows(
    {
      'AM D 19, carrier': { 'Power, average': '3.8', 'Supply': '13.8', 'Supply current': '1.6' },
      'AM D 19, 1 kHz 30 mV': { 'AM positive peak': '90', 'AM negative peak': '90', 'PEP': '13.7' },
      'FM D 19, carrier': { 'Power, average': '3.8' },
      'USB D 19, two tones': { PEP: '24' },
    },
    { 'Power, average': 'Communications test set', 'PEP': 'Communications test set' },
  )
  await hands.goTo('Handover')
  const shop = await hands.paper('handover.pdf?copy=shop')
  const owner = await hands.paper('handover.pdf?copy=owner')
  expect(owner).toMatch(/confirmed: over 20 W.*AM D 19, carrier read 25 W or more, beyond the scale/)
  expect(owner).toMatch(
    /power > 25\.0 W when it came \(Power meter\), 3\.8 W now \(Communications test set\), read on two/,
  )
  expect(owner).toMatch(/does not comply with CEPT 27 MHz/)
  expect(owner).toMatch(/24 W was read, 12 W, 3\.0 dB above it/)
  expect(owner).toMatch(/Found: Series AM regulator shorted/)
  expect(owner).toMatch(/AM: carrier 3\.8 W max/)
  expect(owner, 'a needle at its stop is no value').not.toMatch(/25(\.0)? W ±/)
  expect(shop).toMatch(/Power, average > 25\.0 W above 3\.8 W within not comparable: different instrument/)
  expect(shop).toMatch(/PEP 24\.0 W above 24\.0 W above/)
  expect(shop).not.toMatch(/final stage (is )?(at fault|weak)|depth preset must/i)
  hands.tellCost('carrier runs away')
})
