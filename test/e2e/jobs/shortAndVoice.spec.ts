import { expect, test } from '../bench'
import { Technician } from './technician'

/** An AM mobile that blew its fuse: the short is isolated, and its owner thinks in swings of a needle. */
test('a short is isolated on the supply, and speech on a needle proves nothing', async ({ page, house }) => {
  test.setTimeout(180_000)
  const hands = new Technician(page, house)
  await hands.bookIn({
    owner: 'Piet Vandermoor',
    model: 'Osmund 40A',
    serial: '40A-3355',
    complaint: 'I held the switch down and there was a stink. It swings to nine watts at least.',
    jobKind: 'Repair',
  })
  await hands.tryOnSupply('Limit reached')
  await hands.tryOnSupply('Limit reached', { out: 'Q18' })
  await hands.tryOnSupply('Normal', { idleA: '0.31', out: 'Q18, Q17' })
  const isolation = page.getByRole('region', { name: 'First power' })
  await expect(isolation).toContainText('The current fell without Q17')
  await expect(isolation).toContainText('what passes at DC is not proven at RF')
  await expect(page.getByText('do not key before everything is back in')).toBeVisible()
  await hands.tryOnSupply('Normal', { idleA: '0.31', out: '' })
  await expect(page.getByText('do not key before everything is back in')).toBeHidden()
  await hands.goTo('As found')
  await hands.typeRows(
    {
      'Channel 19, carrier': { 'Power, average': '3.4' },
      'Channel 19, 1 kHz 30 mV': { 'AM negative peak': '94' },
      'Channel 19, voice': { 'Power, average': '9', 'PEP': '17' },
    },
    { 'Power, average': 'In-line power meter, 20 W scale', 'PEP': 'Communications test set' },
  )
  await expect(page.getByText(/PEP 17.* would be 12\d.*proves no depth: with a steady tone 94/)).toBeVisible()
  await hands.goTo('Handover')
  const shop = await hands.paper('handover.pdf?copy=shop')
  expect(shop).toMatch(/without Q18, Q17: the current fell without Q17/)
  expect(shop).toMatch(/normal, 0\.31 A: normal with everything in/)
  expect(shop).toMatch(/9(\.0)? W on average while speaking.*no depth follows from it/)
  expect(shop, 'a row that nobody owes is not missed').not.toMatch(/Rows not measured[^.]*voice/)
  const owner = await hands.paper('handover.pdf?copy=owner')
  expect(owner, 'the average of speech is no carrier').not.toMatch(/power 9(\.0)? W/i)
  expect(owner, 'nobody read a steady over-modulation').not.toMatch(/over-?modulat/i)
  hands.tellCost('short and voice')
})
