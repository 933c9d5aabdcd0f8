import { expect, test } from '../bench'
import type { TestHouse } from '../../integration/house'
import { Technician } from './technician'

/** Two meters of this bench: a peak meter of 4 % and an in-line one of 5 %, each with several scales. */
async function addMeters(house: TestHouse) {
  for (const [name, classRatio] of [
    ['Peak meter', 0.04],
    ['In-line meter', 0.05],
  ] as const)
    await house.request('POST', '/api/instruments', {
      name,
      profileId: 'eye-power-200',
      host: '127.0.0.1',
      port: 5025,
      meterKind: null,
      calibratedOn: null,
      attenuationDb: 0,
      path: '',
      fullScale: 20,
      classRatio,
      classUnknown: false,
    })
}

const METERS = { 'PEP': 'Peak meter', 'Power, average': 'In-line meter' }
const TONE_METERS = {
  'AM positive peak': 'Communications test set',
  'Envelope peak over carrier': 'Oscilloscope on a sampler',
  'Carrier line, change': 'Spectrum analyser',
  'Adjacent channel': 'Spectrum analyser',
}

test('what over-modulation does to meters, with and without an amplifier', async ({ page, house }) => {
  test.setTimeout(180_000)
  await addMeters(house)
  const hands = new Technician(page, house)
  await hands.bookIn({
    owner: 'Osric Pell',
    model: 'Osmund 40A',
    serial: 'W-0414',
    complaint: 'Half of us swear that a needle farther right is a louder signal. Please settle it.',
    jobKind: 'Demonstration of a fault',
  })
  await hands.tryOnSupply('Normal', { idleA: '0.4' })
  await hands.goTo('Trials')
  const trials = page.locator('.trials > li')
  const last = trials.first()

  await hands.alterSet('Q9 (limiter) out')
  await hands.showTrial('bare carrier', { 'Power, average': '3.6', 'PEP': '3.6' }, {}, METERS)
  await expect(last).toContainText(/both meters agree \(3\.6\sW, 3\.6\sW\)/)
  await hands.showTrial(
    'a tone',
    {
      'AM positive peak': '100',
      'PEP': '14.9',
      'Power, average': '7.0',
      'Envelope peak over carrier': '2.0',
      'Adjacent channel': '<-50',
    },
    {},
    TONE_METERS,
  )
  await expect(last).toContainText(/100 % of the carrier of trial 1 is 14\.4\sW PEP.*14\.9\sW \(\+0\.15 dB\)/)
  await expect(last).toContainText(/1\.94 × the bare carrier.* 1\.50 × \(5\.4\sW\)/)
  await hands.showTrial('a tone', {
    'AM positive peak': '120',
    'PEP': '15.9',
    'Power, average': '7.6',
    'Envelope peak over carrier': '2.09',
    'Carrier line, change': '0.0',
    'Adjacent channel': '-29',
  })
  await expect(last).toContainText(/17\.4\sW PEP.*15\.9\sW \(−0\.40 dB\)/)
  await expect(last).toContainText(/2\.20 × the carrier.* 2\.09 \(−0\.45 dB\).*flat-topping/)
  await expect(last).toContainText(/PEP on the meter \+0\.28 dB/)
  await expect(last).toContainText(
    /No growth of the carrier was seen \(±0\.5 dB\), while the neighbouring channels rose/,
  )
  await expect(last).toContainText(/\+6\.6 dBm.*24 dB above it/)
  await hands.showTrial('a tone', { 'AM positive peak': '100', 'PEP': '16.0' }, { text: 'an earlier 100 %' })
  await expect(last).toContainText(/0\.31 dB apart.*not the same depth/)

  const duo = { amplifier: 'Brantwick Duo', devices: '2', claimedW: '150' }
  await hands.showTrial('bare carrier', { 'PEP': '>20', 'Drive power': '1.4' }, duo)
  await expect(last).toContainText(/>\s20/)
  await expect(last.locator('ul li'), 'a needle at its stop says nothing').toHaveCount(0)
  await hands.useTrialScale('PEP', '200 W scale')
  await hands.showTrial('bare carrier', { 'PEP': '28', 'Drive power': '1.4' })
  await hands.showTrial('bare carrier', { 'PEP': '24', 'Drive power': '1.2' })
  await expect(last).toContainText(/gain 13\.0 dB\. Against trial 6 0\.00 dB/)
  await hands.useTrialScale('Power, average', '100 W scale', 'a tone')
  await hands.showTrial('a tone', {
    'AM positive peak': '100',
    'PEP': '98',
    'Power, average': '62',
    'Envelope peak over carrier': '2.02',
    'Supply': '13.8',
    'Supply current': '7.2',
  })
  await expect(last).toContainText(/96\.0\sW PEP.*98\.0\sW \(\+0\.09 dB\)/)
  await expect(last).toContainText(/49\.0\sW each.*Claimed: 150\sW each, 3\.1 times/)
  await expect(last).toContainText(
    /2\.58 × the bare carrier.* 1\.50 × \(36\.0\sW\)\. It is not a true-average/,
  )
  await expect(last).toContainText(/36\.0\sW average from 99\.4\sW of supply: 36 ±\d+ %/)
  await hands.showTrial('a tone', {
    'AM positive peak': '135',
    'PEP': '118',
    'Envelope peak over carrier': '2.02',
    'Carrier line, change': '0.0',
    'Adjacent channel': '-21',
  })
  await expect(last).toContainText(/PEP on the meter \+0\.81 dB.*did not rise with the meter/)
  await expect(last).toContainText(/\+22\.8 dBm.*40 dB above it/)

  await hands.putBack('Q9 (limiter) out', 'Q9 refitted, row at 20 mV read as left')
  await hands.goTo('As left')
  await hands.typeRows(
    {
      'Channel 19, carrier': { 'Power, average': '3.6' },
      'Channel 19, 1 kHz 30 mV': { 'AM positive peak': '92', 'PEP': '13.3' },
    },
    METERS,
  )
  await hands.goTo('Handover')
  await hands.closeItems([
    [/Channel 19, carrier/, 'carrier only'],
    [/Channel 19, 1 kHz 30 mV/, 'PEP and depth'],
  ])
  await hands.handOver('a farther needle is no louder signal')

  for (const copy of ['owner', 'shop']) {
    const paper = await hands.paper(`handover.pdf?copy=${copy}`)
    expect(paper).toMatch(/What was shown/)
    expect(paper).toMatch(/49\.0 W each, driven as in this trial\. Claimed: 150 W each, 3\.1 times as much/)
    expect(paper).toMatch(/Dummy load only, rated for the PEP of the amplifier/)
    expect(paper).toMatch(/Q9 \(limiter\) out, back: Q9 refitted/)
    expect(paper, 'what the meter showed beyond the peak').not.toMatch(/59.0 W each/)
    expect(paper, 'what nobody measured').not.toMatch(/a fifth|62 %|20 W PEP|off.channel|defect/i)
  }
  const shop = await hands.paper('handover.pdf?copy=shop')
  expect(shop).toMatch(/Q9 refitted, row at 20 mV/)
  hands.tellCost('over-modulation shown')
})
