import { LX10T } from '../../fixtures/ownSheets/lx10t'
import { expect, test } from '../bench'
import { Technician } from './technician'

const METER = 'In-line power meter, 20 W scale'

/** Supply leads that melted while transmitting: a shorted final, gates far too high, no limiter. */
test('leads melted: the short, the gates that caused it, and a carrier that keeps its headroom', async ({
  page,
  house,
}) => {
  test.setTimeout(240_000)
  const hands = new Technician(page, house)
  await hands.importSheet(LX10T)
  await hands.bookIn({
    owner: 'Piet Vandermoor',
    model: 'Larkfield LX-10T',
    serial: 'LT-3355',
    complaint: 'I held the switch down and there was a stink. The red lead went soft, so I pulled the fuse.',
    jobKind: 'Full service',
  })
  await hands.inspect('Supply lead, socket, polarity diode, filter capacitor', 'Defect', 'lead bubbled 12 cm')
  await hands.restIsFine()
  await hands.tryOnSupply('Limit reached')
  await hands.tryOnSupply('Limit reached', { out: 'Q18' })
  await hands.tryOnSupply('Normal', { idleA: '0.46', out: 'Q18, Q17' })
  const isolation = page.getByRole('region', { name: 'First power' })
  await expect(isolation).toContainText('The current fell without Q17')
  await expect(isolation).toContainText('what passes at DC is not proven at RF')
  await hands.tryOnSupply('Normal', { idleA: '0.46', out: '' })

  await hands.goTo('Repair')
  await hands.addWork('Part replaced', {
    'Part': 'Q17',
    'Removed': 'MOSFET, drain to source short',
    'Fitted': 'the same type',
    'Final or driver': true,
  })
  await expect(page.locator('main')).toContainText(/[Bb]ias of the new device/)
  await hands.addWork('Work done', {
    'Work done': 'keyed for 1 s before the gates were measured, 1.18 A',
    'Where': '',
  })

  await hands.goTo('As found')
  await hands.typeRows({
    'Gate of Q15, no drive': { 'Gate voltage': '4.6' },
    'Gate of Q17, no drive': { 'Gate voltage': '4.7' },
    'Gate of Q18, no drive': { 'Gate voltage': '4.7' },
  })
  await hands.useScale('Power, average', METER, '60 W scale')
  await hands.typeRows({ 'Carrier, high': { 'Power, average': '3.5' } })
  await expect(page.locator('[data-row="high"]')).toContainText(/below 10 % of the 60\sW scale/)
  await hands.useScale('Power, average', METER, '5 W scale')
  await hands.typeRows({
    'Carrier, high': { 'Power, average': '3.36' },
    'Carrier, medium': { 'Power, average': '2.27' },
    'Carrier, low': { 'Power, average': '1.12' },
  })
  await expect(page.getByText('more than 2 % apart'), 'two scales are no repeat').toHaveCount(0)
  await expect(page.getByText('set its bias before keying')).toBeVisible()
  await hands.goTo('Repair')
  await hands.addWork('Part replaced', { Part: 'Q24', Removed: 'nothing: three pads cut', Fitted: 'limiter' })
  await hands.addWork('Part replaced', { Part: 'leads', Removed: 'melted', Fitted: 'new, fuse 5 A' })

  await hands.goTo('Alignment')
  await hands.readStep('T.0', '25')
  await hands.confirmStep()
  await hands.turn('T.1')
  await hands.readPoints('T.1', '2.8', '2.9', '2.9')
  await hands.confirmStep()
  await hands.turn('T.2')
  await hands.readStep('T.2', '7.2')
  await hands.confirmStep()

  await hands.goTo('As left')
  await hands.useScale('Power, average', METER, '10 W scale')
  await hands.typeRows({
    'Receiving': { 'Supply current': '0.46' },
    'Gate of Q15, no drive': { 'Gate voltage': '2.8' },
    'Gate of Q17, no drive': { 'Gate voltage': '2.9' },
    'Gate of Q18, no drive': { 'Gate voltage': '2.9' },
    'Carrier, high': { 'Power, average': '7.2', 'Supply current': '2.1' },
    'Carrier, medium': { 'Power, average': '4.9' },
    'Carrier, low': { 'Power, average': '2.4' },
    'Tone 25 mV': { PEP: '27.0' },
    'Voice': { PEP: '38' },
  })
  await expect(
    page.getByText(/Tone 25 mV: PEP 27.* is a depth of 94.% .*neither shown nor excluded/),
  ).toBeVisible()
  await expect(
    page.getByText(/Voice: PEP 38.* would be 130.% .*Speech on a needle proves no depth/),
  ).toBeVisible()
  await hands.goTo('Handover')
  const shop = await hands.paper('handover.pdf?copy=shop')
  expect(shop).toMatch(/without Q18, Q17: the current fell without Q17/)
  expect(shop).toMatch(/Gate of Q15, no drive Gate voltage 4\.60 V above 2\.80 V within/)
  expect(shop).toMatch(/Carrier, high Power, average 3\.4 W below 7\.2 W within \+3\.3 dB/)
  expect(shop).toMatch(/Keyed for 1 s before the gates were measured, 1\.18 A/)
  expect(shop).toMatch(/Tone 25 mV: PEP 27\.0 W .* 94 % /)
  expect(shop).toMatch(/would be 130 % .*proves no depth/)
  expect(shop).toMatch(/Harmonics \(required after a new final\)/)
  expect(shop, 'what was misread, what stands in another set\u2019s sheet').not.toMatch(
    /4\.5 W|Replaced: Q18|too thin/,
  )
  const owner = await hands.paper('handover.pdf?copy=owner')
  expect(owner).toMatch(/Carrier, high: power 3\.4 W when first read, after work had begun, 7\.2 W now/)
  expect(owner).toMatch(/AM: carrier 7\.2 W max\./)
  expect(owner, 'nothing is proved by a needle on speech').not.toMatch(/over-?modulated|clean/)
  hands.tellCost('melted leads')
})
