import { NEW_BAND, OWN_PLAN } from '../../../core/rules'
import { modelSheet, type Measurand, type ModelSheet } from '../../../core/sheet'
import { expect, test } from '../bench'
import { Technician } from './technician'

const P5 = modelSheet('quillon-p5')
const hertz = { radix: 10, decimals: 0, min: 0, max: 99_999_999 } as const
const code: Measurand = { quantity: 'menuCode', target: null, judgeLimit: true, menu: hertz }
const within = (quantity: Measurand['quantity'], low: number, high: number, aim: number): Measurand => ({
  quantity,
  target: { kind: 'window', window: { low, high, aim } },
  judgeLimit: true,
})
const GATE = within('gateV', 2.1, 2.2, 2.15)
const OUTPUT = within('powerW', 3.8, 4.2, 4)
const one = (name: string, hz: number) => ({
  ...NEW_BAND,
  name,
  channels: { kind: 'list', frequenciesHz: [hz] } as const,
})
const reworded = (wants: readonly Measurand[]): Measurand[] =>
  wants.map(w => ({ gateV: GATE, powerW: OUTPUT })[w.quantity as 'gateV' | 'powerW'] ?? w)

/** Another kit of the same maker: two bands, a gate voltage and an output of its own. */
const P4: ModelSheet = {
  ...P5,
  id: 'quillon-p4',
  model: 'Quillon P4',
  planId: OWN_PLAN,
  bands: [one('30 m', 10_118_000), one('40 m', 7_030_000)],
  adjusters: P5.adjusters.map(a =>
    a.kind === 'preset' ? { ...a, turn: 'anticlockwise raises', raisedBy: 'anticlockwise' } : a,
  ),
  matrix: [
    ...P5.matrix.map(p => ({ ...p, wants: reworded(p.wants) })),
    {
      id: 'carrier-40',
      title: '40 m, keyed',
      state: { ...P5.matrix.find(p => p.id === 'carrier')!.state, channel: 2 },
      wants: [{ quantity: 'powerW', target: null, judgeLimit: true }],
    },
    {
      id: 'rit',
      title: 'Receiver, loudest at RIT',
      state: { ...P5.matrix.find(p => p.id === 'rx')!.state, inputV: 5e-6 },
      wants: [within('ritOffsetHz', -5, 5, 0)],
    },
  ],
  procedure: P5.procedure.map(s => ({
    ...s,
    points: s.points.map(p => {
      if (s.id === 'A8.1') return { ...p, wants: [...p.wants, code] }
      if (s.id === 'A8.2')
        return { ...p, title: 'Loudest at RIT', wants: [within('ritOffsetHz', -5, 5, 0), code] }
      return { ...p, wants: reworded(p.wants) }
    }),
  })),
}

test('the first setting of a small kit: its clock reckoned, its receiver put right, bias before power', async ({
  page,
  house,
}) => {
  test.setTimeout(240_000)
  const hands = new Technician(page, house)
  await hands.importSheet(P4)
  await hands.bookIn({
    owner: 'Linus Okoro',
    model: 'Quillon P4',
    serial: 'without a number',
    complaint:
      'Built it over the winter. It receives a little dull, it has never been set. Please do the lot.',
    jobKind: 'Alignment',
  })
  await hands.goTo('As found')
  await hands.typeRows({
    'Menu REF': { 'Menu value': '25003200' },
    'Menu IF': { 'Menu value': '4915200' },
    'Receiver, loudest at RIT': { 'Loudest at RIT': '-75' },
  })
  await hands.goTo('Alignment')
  await hands.readStep('A8.0', '25')
  await hands.confirmStep()
  await hands.readStep('A8.1', '9.999959', '25003200')
  const main = page.locator('main')
  await expect(main, 'below: lower it').toContainText('Set REF to 25003097 (\u2212103)')
  await hands.readStep('A8.1', '10.000000', '25003097')
  await expect(main).not.toContainText('Set REF to')
  await hands.confirmStep()
  await hands.readStep('A8.2', '-75', '4915200')
  await expect(main).toContainText('Set IF to 4915125 (\u221275)')
  await hands.readStep('A8.2', '0', '4915125')
  await hands.confirmStep()
  await page.locator('[data-step="A8.4"]').click()
  await expect(main, 'before anything is keyed').toContainText('it is enabled again at every start')
  await hands.readStep('A8.4', '2.15')
  await hands.confirmStep()
  await hands.readStep('A8.5', '4.0', '10.118000')
  await hands.confirmStep()

  await hands.goTo('As left')
  await hands.typeRows({
    '10 MHz output': { 'Reference frequency': '10.000000' },
    'Gate of the final, PA oscillator disabled': { 'Gate voltage': '2.15' },
    '14.060 MHz, keyed': { 'Power, average': '4.0', 'Supply current': '0.62' },
    '40 m, keyed': { 'Power, average': '4.4' },
    'Menu REF': { 'Menu value': '25003097' },
    'Menu IF': { 'Menu value': '4915125' },
    'Receiver, loudest at RIT': { 'Loudest at RIT': '0' },
  })
  await hands.goTo('Handover')
  const shop = await hands.paper('handover.pdf?copy=shop')
  expect(shop).toMatch(/Menu REF Menu value 25003200 25003097/)
  expect(shop).toMatch(/Menu IF Menu value 4915200 4915125/)
  expect(shop).toMatch(/Loudest at RIT \u221275 Hz below 0 Hz within/)
  expect(shop, 'noted, and held against nothing').toMatch(
    /40 m, keyed Power, average not measured 4\.40? W Receiver/,
  )
  expect(shop).toMatch(/Adjusted: REF \(reference correction\), IF \(IF offset\)/)
  const owner = await hands.paper('handover.pdf?copy=owner')
  expect(owner, 'his numbers').toMatch(
    /Menu REF 25003097 \(25003200 when it came\); Menu IF 4915125 \(4915200/,
  )
  expect(owner, 'no limit of another service, nothing that was not measured').not.toMatch(
    /4 W max|exact|sensitivity|harmonics are/,
  )
  hands.tellCost('first setting of a kit')
})
