import type { Page } from '@playwright/test'
import type { TestHouse } from '../integration/house'
import { modelSheet, type MeasurePoint } from '../../core/sheet'
import { expect, ladder, said, settled, test } from './bench'

const LX8 = modelSheet('larkfield-lx8')
/** Locked, keyed, meters come to rest. */
const SETTLES_MS = 1200
/**
 * What no instrument on the wire reads is typed by the number keys (audible threshold, sensitivity, S-meter).
 */
const BY_EAR: Readonly<Record<string, string>> = { audibleV: '0.5', sensitivityV: '0.2', sMeter: '9' }

/**
 * What has to be turned on this set: its offset coil of LSB (a free set tells positions as they are
 * electrically), and the ALC and the AM carrier, a shade too near their limits for a meter of 3 %.
 */
const HANDS: Readonly<Record<string, { designator: string; position: number }>> = {
  'A3.5': { designator: 'L22', position: 0 },
  'A3.10': { designator: 'VR12', position: 0.48 },
  'A3.11': { designator: 'VR13', position: 0.435 },
}

/** The set put as the row asks, by the hands on it; nothing of this passes through the page. */
async function put(house: TestHouse, { state }: MeasurePoint) {
  const two = /two tones/.test(state.setting)
  await house.request('POST', '/api/practice', {
    keyed: false,
    mode: state.mode,
    ...(state.channel === null ? {} : { channel: state.channel }),
    coverage: state.coverage,
    driveOff: /no drive/.test(state.setting),
    micGain: 1,
    toneOn: false,
    inputV: state.inputV ?? 0,
  })
  if (state.toneHz !== null || two)
    await house.request('POST', '/api/practice', {
      toneOn: true,
      twoTones: two,
      toneHz: state.toneHz ?? 700,
      toneLevelV: state.toneV ?? 0.03,
    })
  if (state.keyed) await house.request('POST', '/api/practice', { keyed: true })
}

/** Space; and again when an instrument paused just then, as the page asks; other words are left standing. */
async function takeRow(page: Page, taken: RegExp) {
  for (let tries = 0; tries < 3; tries++) {
    await page.keyboard.press('Space')
    await expect(said(page)).toContainText(new RegExp(`${taken.source}|not updating`))
    if (!/not updating/.test(await said(page).innerText())) return
    await settled(page, SETTLES_MS)
  }
}

test('a multimode is aligned live through every step by Space and Enter alone; only what is heard is typed', async ({
  page,
  house,
}) => {
  test.setTimeout(420_000)
  await house.request('POST', '/api/practice/free', {
    designId: 'larkfield-lx8',
    kitId: 'test-set',
    seed: 27,
  })
  await house.request('POST', '/api/practice', { warmByS: 2400 })
  const id = await house.newJob({ sheetId: 'larkfield-lx8', ruleSetId: 'R-EU', serial: 'L8-9001' })
  await page.goto(`${house.address}/jobs/${id}/align`)
  await expect(page.getByTestId('big')).toHaveText(/\d/)

  for (const step of LX8.procedure) {
    await test.step(`${step.id} ${step.title}`, async () => {
      await expect(ladder(page, step.id)).toHaveAttribute('aria-current', 'step')
      const hand = HANDS[step.id]
      if (hand) await house.request('POST', '/api/practice', { adjusters: [hand] })
      for (const point of step.points) {
        await put(house, point)
        await settled(page, SETTLES_MS)
        const typed = point.wants.map(w => BY_EAR[w.quantity]).filter(text => text !== undefined)
        const taken = new RegExp(`${point.title.replace(/[()]/g, '.')}: ((\\d+ )?taken|typed readings saved)`)
        if (typed.length === 0) await takeRow(page, taken)
        for (const text of typed) {
          await page.keyboard.type(text)
          await page.keyboard.press('Enter')
        }
        // Never a word of a set that is not keyed, of drift or of an error that was not there.
        await expect(said(page)).toContainText(taken)
        await expect(said(page)).not.toContainText(/No sign that|Not taken/)
      }
      await house.request('POST', '/api/practice', { keyed: false })
      await page.keyboard.press('Enter')
      await expect(ladder(page, step.id)).toHaveAttribute('data-status', /inside|cannot-tell/)
    })
  }
  await expect(
    page.getByText(`Alignment, ${LX8.procedure.length} of ${LX8.procedure.length} steps done`),
  ).toBeVisible()
  // Nothing was said to be turned, and nothing drifted: a steady set is called nothing else.
  await expect(page.locator('body')).not.toContainText(/Drift [+\u2212]\d/)
})
