import { readFileSync } from 'node:fs'
import Papa from 'papaparse'
import { OSMUND_27F } from '../../core/sheet/osmund27f/sheet'
import { Panel, big, deliver, expect, ladder, said, test } from './bench'
import { chooseModel } from './choose'

/** The whole story on the simulated set, on the screen alone. */
test('a set goes over the bench, from intake to handover', async ({ page, house }) => {
  // Half a thousand presses in real time, each waited for.
  test.setTimeout(480_000)
  await deliver(house)
  const panel = new Panel(page)
  await page.goto(house.address)

  await test.step('intake', async () => {
    await page.getByRole('button', { name: /Book in a set/ }).click()
    await page.getByLabel('Owner', { exact: true }).fill('Barge Tern (Odile Marsh)')
    await chooseModel(page, 'Osmund 27F')
    await page.getByLabel('Serial').fill('41900')
    await page.getByLabel('Complaint').fill('Under 3 W, low, too loud.')
    await page.getByRole('button', { name: 'Add claim' }).click()
    await page.getByLabel('number', { exact: true }).fill('3,0')
    await page.getByLabel("the owner's meter").fill('cross-needle meter')
    await page.getByRole('button', { name: /Start the job/ }).click()
    await expect(page.getByRole('heading', { name: /inspection/i }).first()).toBeVisible()
    await page.getByRole('link', { name: 'As found' }).click()
    await expect(page.getByRole('heading', { name: 'As found' })).toBeVisible()
  })

  await test.step('as found: a whole row per press, and it fails in several places', async () => {
    await panel.open()
    for (const point of OSMUND_27F.matrix) await takeMatrixRow(page, panel, point)
    await expect(page.getByText('12 of 12')).toBeVisible()
    const claims = page.getByRole('list', { name: "The owner's claims" })
    await expect(claims).toContainText(/confirmed\s*under 3\u2009W \(power, high\), on the owner/)
    await expect(claims).toContainText('\u2019s cross-needle meter: Channel 20, high power read 2.8')
    const marks = (row: string) => page.locator(`[data-row="${row}"] .cell svg`)
    await expect(marks('reference').first()).toHaveAttribute('aria-label', 'below')
    await expect(marks('high-1').nth(1)).toHaveAttribute('aria-label', 'below')
    await expect(marks('low-20').first()).toHaveAttribute('aria-label', 'above')
    await expect(marks('tone-20').first()).toHaveAttribute('aria-label', 'above')
    await expect(marks('receiver').first()).toHaveAttribute('aria-label', 'within')
  })

  await test.step('align: warm-up, reference, lock', async () => {
    await page.getByRole('link', { name: 'Alignment' }).click()
    await takeAndConfirm(page, 'A1.0')
    expect(await big(page)).toBeLessThan(-300)
    await panel.turn('CT1', 0.386)
    expect(Math.abs(await big(page))).toBeLessThan(20)
    await takeAndConfirm(page, 'A1.3')
    for (const [title, channel] of [
      ['To channel 1', 1],
      ['To channel 20', 20],
      ['To channel 40', 40],
      ['Wrap 40 to 1', 1],
    ] as const) {
      await panel.state({ channel })
      await page.keyboard.press('t')
      await page.keyboard.type(String(await panel.shows(/last lock ([\d.]+)/)))
      await page.keyboard.press('Enter')
      await expect(said(page)).toContainText(`${title}: typed readings saved`)
    }
    await page.keyboard.press('Enter')
    await expect(ladder(page, 'A1.4')).toHaveAttribute('data-status', 'inside')
  })

  await test.step('transmit frequency, a shade high', async () => {
    await panel.state({ channel: 20, keyed: true })
    await expect(page.locator('.key.keyed')).toBeVisible()
    await turnUntil(panel, 'CT2', 0.412, -0.002, async () => {
      const hz = await big(page)
      return hz >= 3 && hz <= 17
    })
    await expect(page.getByTestId('verdict')).toContainText(/within/i)
    await takeAndConfirm(page, 'A1.5')
  })

  await test.step('power as it is decides that the coils need work', async () => {
    for (const channel of [1, 20, 40]) {
      await panel.state({ channel, keyed: true })
      await page.keyboard.press('Space')
      await expect(said(page)).toContainText(`Channel ${channel}: taken`)
    }
    await page.getByRole('button', { name: /Confirm: adjustment needed/ }).click()
    await expect(page.getByRole('heading', { name: 'Peak drive and output coils' })).toBeVisible()
  })

  await test.step('peak in passes until one gains less than 0.1 dB', async () => {
    await panel.state({ channel: 20, keyed: true })
    await page.keyboard.press('Space')
    await expect(said(page)).toContainText('taken')
    for (const coil of ['L1', 'L2', 'L3', 'L4', 'L5', 'L6']) await panel.turn(coil, 0)
    await page.keyboard.press('Space')
    await expect(page.locator('.criterion').first()).toContainText('1 pass')
    await page.waitForTimeout(300)
    await page.keyboard.press('Space')
    await expect(page.locator('.criterion').first()).toContainText('2 passes')
    await page.keyboard.press('Enter')
    await expect(ladder(page, 'A1.8')).toHaveAttribute('data-status', 'inside')
  })

  await test.step('balance, high power with the loading coil, balance again', async () => {
    await balance(page, panel)
    await expect(page.getByRole('heading', { name: 'High power' })).toBeVisible()
    await panel.state({ channel: 20, keyed: true })
    await panel.turn('L6', -0.2)
    await panel.turn('L7', 0.9)
    await page.keyboard.press('a')
    await expect(said(page)).toContainText('L7 logged as adjusted')
    await expect(ladder(page, 'A1.9')).toHaveAttribute('data-status', 'stale')
    await expect(page.getByTestId('verdict')).toContainText(/within/i)
    await page.keyboard.press('Space')
    await expect(ladder(page, 'A1.10')).toHaveAttribute('data-status', 'inside')
    await page.keyboard.press('Enter')
    await expect(page.getByRole('heading', { name: 'Balance 1, 20, 40' })).toBeVisible()
    await balance(page, panel)
  })

  await test.step('low power, deviation, panel meter', async () => {
    await expect(page.getByRole('heading', { name: 'Low power' })).toBeVisible()
    await panel.state({ channel: 20, keyed: true, lowPower: true })
    await panel.turn('RV1', 0.28)
    await takeAndConfirm(page, 'A1.11')
    await panel.state({ channel: 20, keyed: true, tone: true })
    await panel.turn('RV2', 0.595)
    await takeAndConfirm(page, 'A1.13')
    await panel.state({ channel: 20, keyed: true })
    await panel.turn('RV3', 0.5)
    await page.keyboard.press('t')
    await page.keyboard.type(String(await panel.shows(/Panel meter ([\d.]+)/)))
    await page.keyboard.press('Enter')
    await expect(said(page)).toContainText('typed readings saved')
    await page.keyboard.press('Enter')
    await expect(page.getByText('Alignment, 11 of 11 steps done')).toBeVisible()
  })

  await test.step('the reference moved late makes frequency and lock stale, and the run says why', async () => {
    await ladder(page, 'A1.3').click()
    await panel.state({ channel: 20 })
    await panel.turn('CT1', 0.3845)
    await page.keyboard.press('Space')
    // Minutes lie between the two readings: it is asked, not concluded.
    await page.getByRole('button', { name: /^Yes/ }).click()
    await expect(ladder(page, 'A1.5')).toHaveAttribute('data-status', 'stale')
    await expect(ladder(page, 'A1.4')).toHaveAttribute('data-status', 'stale')
    await expect(ladder(page, 'A1.11')).toHaveAttribute('data-status', 'inside')
    await ladder(page, 'A1.5').click()
    await expect(
      page.getByText(/CT1.*adjusted at .*every synthesised frequency follows the reference/),
    ).toBeVisible()
    await panel.state({ channel: 20, keyed: true })
    await page.keyboard.press('Space')
    await expect(ladder(page, 'A1.5')).toHaveAttribute('data-status', 'inside')
    await ladder(page, 'A1.4').click()
    for (const title of ['To channel 1', 'To channel 20', 'To channel 40', 'Wrap 40 to 1']) {
      await page.keyboard.press('t')
      await page.keyboard.type('0.2')
      await page.keyboard.press('Enter')
      await expect(said(page)).toContainText(`${title}: typed readings saved`)
    }
    await expect(page.getByText('Alignment, 11 of 11 steps done')).toBeVisible()
  })

  await test.step('as left', async () => {
    await page.getByRole('link', { name: 'As left' }).click()
    await expect(page.getByRole('heading', { name: 'As left' })).toBeVisible()
    for (const point of OSMUND_27F.matrix) await takeMatrixRow(page, panel, point)
    await expect(page.getByText('12 of 12')).toBeVisible()
  })

  await test.step('handover: complies, comparable, CSV and JSON', async () => {
    await panel.state({})
    await page.keyboard.press('p')
    await page.getByRole('link', { name: 'Handover' }).click()
    // Harmonics and the adjacent channel were not read on this bench: nothing is claimed for them.
    await expect(page.getByText(/Compliance with UK 27 MHz FM.* has not been demonstrated/)).toBeVisible()
    await expect(page.getByText(/Not measured:.*second harmonic/)).toBeVisible()
    // The chart library comes with this page only; a busy machine takes its time to read it.
    await expect(page.locator('.js-plotly-plot, .plot .main-svg').first()).toBeVisible({ timeout: 40_000 })
    await expect(page.getByText('not comparable')).toHaveCount(0)
    await expect(page.getByText('2 open')).toBeVisible()
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('link', { name: 'CSV' }).click(),
    ])
    const { data } = Papa.parse<Record<string, string>>(readFileSync(await download.path(), 'utf8'), {
      header: true,
      skipEmptyLines: true,
    })
    const cell = (phase: string, row: string, quantity: string) =>
      data.findLast(l => l.phase === phase && l.row === row && l.quantity === quantity)!
    expect(cell('as-found', 'high-1', 'powerW').verdict).toBe('below')
    expect(cell('as-left', 'high-1', 'powerW').verdict).toBe('inside')
    expect(Number(cell('as-left', 'tone-20', 'deviationPositiveHz').value_si)).toBeLessThan(2500)
    await page.getByRole('button', { name: /Hand over/ }).click()
    await page.getByLabel('Explained to the owner').fill('Receive trimmer and harmonics follow in spring.')
    await page.getByRole('button', { name: /^Hand over Ctrl/ }).click()
    await expect(page.getByText(/Handed over .* Later entries/)).toBeVisible()
  })
})

type Point = (typeof OSMUND_27F.matrix)[number]

async function takeMatrixRow(page: import('@playwright/test').Page, panel: Panel, point: Point) {
  const { channel, keyed, lowPower, toneHz } = point.state
  await panel.state({ channel, keyed, lowPower, tone: toneHz !== null })
  const byHand = { panel: /Panel meter ([\d.]+)/, receiver: /SINAD at ([\d.]+)/ }[point.id]
  if (byHand) {
    await page.locator(`[data-row="${point.id}"]`).click({ position: { x: 60, y: 12 } })
    await page.keyboard.press('t')
    await page.keyboard.type(String(await panel.shows(byHand)))
    await page.keyboard.press('Enter')
  } else {
    await pressUntilRead(page, point)
  }
  await expect(said(page)).toContainText(`${point.title}: ${byHand ? 'typed readings saved' : 'taken'}`)
}

/**
 * On a busy machine the instruments can fall silent for a moment; the screen says so, and a person chooses
 * the row and presses again.
 */
async function pressUntilRead(page: import('@playwright/test').Page, point: Point) {
  await expect(async () => {
    await page.keyboard.press('Escape')
    await page.locator(`[data-row="${point.id}"]`).click({ position: { x: 60, y: 12 } })
    await page.keyboard.press('Space')
    await expect(said(page)).toContainText(`${point.title}: taken`, { timeout: 3000 })
  }).toPass({ timeout: 30_000 })
}

async function takeAndConfirm(page: import('@playwright/test').Page, step: string) {
  await expect(ladder(page, step)).toHaveAttribute('aria-current', 'step')
  await page.keyboard.press('Space')
  await expect(ladder(page, step)).toHaveAttribute('data-status', 'inside')
  await page.keyboard.press('Enter')
  await expect(ladder(page, step)).not.toHaveAttribute('aria-current', 'step')
}

async function turnUntil(
  panel: Panel,
  designator: string,
  from: number,
  by: number,
  done: () => Promise<boolean>,
) {
  for (let position = from, i = 0; i < 12; i++, position += by) {
    await panel.turn(designator, Number(position.toFixed(4)))
    if (await done()) return
  }
  throw new Error(`${designator} did not get there`)
}

async function balance(page: import('@playwright/test').Page, panel: Panel) {
  for (const channel of [1, 20, 40]) {
    await panel.state({ channel, keyed: true })
    await page.keyboard.press('Space')
    await expect(said(page)).toContainText(`Channel ${channel}: taken`)
  }
  await expect(ladder(page, 'A1.9')).toHaveAttribute('data-status', 'inside')
  await page.keyboard.press('Enter')
}
