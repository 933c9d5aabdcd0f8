import type { Page } from '@playwright/test'
import { RIG_DESIGNS, rigDesign, rigFault } from '../../core/rig'
import type { TestHouse } from '../integration/house'
import { expect, settled, test } from './bench'

/**
 * One case of every model, solved through the browser as a trainee would: readings from the rail, hands on
 * the panel.
 */
const SETTLES_MS = 600

class Hands {
  constructor(private readonly page: Page) {}

  private slider = (designator: string) =>
    this.page.getByRole('slider', { name: new RegExp(`^${designator.replace('.', '\\.')} `) })
  async turn(designator: string, position: number) {
    await this.slider(designator).fill(String(position))
    await this.slider(designator).dispatchEvent('change')
    await settled(this.page, SETTLES_MS)
  }

  async press(name: string | RegExp) {
    await this.page.getByRole('button', { name }).first().click()
    await settled(this.page, SETTLES_MS)
  }

  async key(on: boolean) {
    const button = this.page.getByRole('button', { name: /^Key(ed)? K$/ })
    if (/Keyed/.test(await button.innerText()) !== on) await button.click()
    await expect(button).toHaveText(on ? /Keyed/ : /^Key K$/)
    await settled(this.page, SETTLES_MS)
  }

  /** The generator stays as the last hand left it: what a case needs of it is set, not pressed over. */
  async tone(on: boolean) {
    const button = this.page.getByRole('button', { name: /^Tone (on|off)/ })
    if (/^Tone on/.test(await button.innerText()) !== on) await button.click()
    await expect(button).toHaveText(on ? /^Tone on/ : /^Tone off/)
    await settled(this.page, SETTLES_MS)
  }

  /** A number of the rail; NaN when it shows none. */
  async rail(quantity: string): Promise<number> {
    const text = await this.page.locator(`[data-quantity="${quantity}"] b`).innerText()
    return Number(text.replace('\u2212', '-').replace(/[^\d.-]/g, '') || NaN)
  }

  /** Turns a core over its thread and leaves it where a reading was best. */
  async best(
    designator: string,
    badness: () => Promise<number>,
    from = -2.4,
    to = 2.4,
    steps = 12,
  ): Promise<void> {
    let best = { position: from, value: Infinity }
    for (let i = 0; i <= steps; i++) {
      const position = Number((from + ((to - from) * i) / steps).toFixed(3))
      await this.turn(designator, position)
      const value = await badness()
      if (value < best.value) best = { position, value }
    }
    await this.turn(designator, best.position)
    const step = (to - from) / steps
    if (steps > 5)
      await this.best(
        designator,
        badness,
        Math.max(-2.6, best.position - step),
        Math.min(2.6, best.position + step),
        5,
      )
  }
}

async function begin(page: Page, house: TestHouse, designId: string, kit: string): Promise<Hands> {
  await page.goto(house.address + '/practice')
  const another = page.getByRole('button', { name: 'Another set' })
  await expect(
    page
      .getByRole('button', { name: /^Key(ed)? K$/ })
      .or(another)
      .first(),
  ).toBeVisible()
  if (await another.isVisible()) await another.click()
  await page.getByLabel('Your name').fill('Runa')
  await page.locator('.who .v-select').click()
  await page.getByRole('option', { name: kit }).click()
  await page.getByRole('radio', { name: rigDesign(designId).name, exact: true }).click()
  await page.getByRole('button', { name: 'The usual complaint of this model' }).click()
  await expect(page).toHaveURL(/as-found$/)
  await page.goto(house.address + '/practice')
  await expect(page.getByText(`${rigDesign(designId).name}: no radio is connected`)).toBeVisible()
  const hands = new Hands(page)
  await hands.press('Advance 20 min')
  return hands
}

async function finish(page: Page, fault: string) {
  await page.getByRole('button', { name: 'Finish and review' }).first().click()
  await page.getByLabel(rigFault(fault).name).check()
  await page.getByRole('dialog').getByRole('button', { name: 'Finish and review' }).click()
  await expect(page.getByText('Fault found and repaired.')).toBeVisible()
}

const SOLVED: Record<string, { fault: string; kit: string; solve: (h: Hands) => Promise<void> }> = {
  'osmund-27f': {
    fault: 'XN1',
    kit: 'The usual equipment',
    solve: async h => {
      await h.turn('CT1', 0.3861)
      await h.key(true)
      await h.best('L4', async () => -(await h.rail('powerW')))
      await h.key(false)
      await h.turn('RV2', 0.595)
    },
  },
  'osmund-40a': {
    fault: 'X08',
    kit: 'Test set and analyser',
    solve: async h => {
      await h.tone(true)
      await h.key(true)
      expect(await h.rail('depthPositiveRatio')).toBeGreaterThan(120)
      for (let p = 0.9; p > 0.4 && !((await h.rail('depthPositiveRatio')) < 93); p -= 0.05)
        await h.turn('RV5', p)
      await h.key(false)
    },
  },
  'larkfield-lx8': {
    fault: 'X26',
    kit: 'Test set and analyser',
    solve: async h => {
      await h.press('LSB')
      await h.tone(true)
      await h.key(true)
      // a tone of 1 kHz stands 1 kHz under the channel on LSB
      await h.best('L22', async () => Math.abs((await h.rail('carrierHz')) - 27.184))
      await h.key(false)
    },
  },
  'larkfield-lx8m': {
    fault: 'X31',
    kit: 'Test set and analyser',
    solve: async h => {
      await h.press('USB')
      await h.tone(true)
      await h.key(true)
      let leakDb = await h.rail('carrierLeakDb')
      expect(leakDb).toBeLessThan(24)
      // Far from the balance in larger steps: a slow machine must not keep the set keyed until it is hot.
      for (let p = 0.85; p > 0.4 && !(leakDb > 41); p -= leakDb < 30 ? 0.05 : 0.025) {
        await h.turn('VR6', Number(p.toFixed(3)))
        leakDb = await h.rail('carrierLeakDb')
      }
      await h.key(false)
    },
  },
  'corvid-m6': {
    fault: 'XM1',
    kit: 'The usual equipment',
    solve: async h => {
      await h.key(true)
      expect(await h.rail('powerW')).toBeGreaterThan(4.5)
      for (let code = 0x6c; code > 0x55 && !((await h.rail('powerW')) < 3.95); code -= 3)
        await h.turn('01', code)
      await h.tone(true)
      for (let code = 132; code > 80 && !((await h.rail('depthNegativeRatio')) < 88); code -= 8)
        await h.turn('05', code)
      await h.key(false)
    },
  },
  'brantwick-tallis60': {
    fault: 'XT1',
    kit: 'The usual equipment',
    solve: async h => {
      await h.key(true)
      expect(await h.rail('powerW')).toBeGreaterThan(160)
      for (let p = 0.6; p > 0.2 && !((await h.rail('powerW')) < 85); p -= 0.06)
        await h.turn('RF POWER', Number(p.toFixed(2)))
      await h.key(false)
    },
  },
  'quillon-hb150': {
    fault: 'X17',
    kit: 'The usual equipment',
    solve: async h => {
      await h.turn('CARRIER', 1)
      await h.key(true)
      expect(await h.rail('powerW')).toBeLessThan(40)
      await h.key(false)
    },
  },
  'quillon-p5': { fault: 'XP1', kit: 'The usual equipment', solve: async h => reference(h, 6060) },
  'quillon-p7': { fault: 'XP1', kit: 'The usual equipment', solve: async h => reference(h, 10_550) },
}

/** The menu value, from what the reference pin says: output low = value too high. */
async function reference(h: Hands, code: number) {
  const offHz = ((await h.rail('referenceHz')) - 10) * 1e6
  expect(Math.abs(offHz)).toBeGreaterThan(50)
  await h.turn('REF', Math.round(code + offHz * 2.5))
  expect(Math.abs(((await h.rail('referenceHz')) - 10) * 1e6)).toBeLessThan(10)
}

test.describe('a case of every model', () => {
  for (const { id, name } of RIG_DESIGNS) {
    test(name, async ({ page, house }) => {
      test.setTimeout(120_000)
      const { fault, kit, solve } = SOLVED[id]!
      const hands = await begin(page, house, id, kit)
      await solve(hands)
      if (id === 'quillon-hb150') {
        // Hands go in with the power off, and the heaters take their time afterwards.
        await expect(page.getByRole('note', { name: 'High voltage' })).toBeVisible()
        await hands.press('Switch off')
        await page.getByLabel('part to replace').selectOption('valves')
        await hands.press('Replace')
        await hands.press('Switch on')
        await hands.press('Advance 20 min')
        await hands.key(true)
        expect(await hands.rail('powerW')).toBeGreaterThan(100)
        await hands.key(false)
      }
      await finish(page, fault)
    })
  }
})

test('a lesson, step by step, and the review with its time line', async ({ page, house }) => {
  await page.goto(house.address + '/practice')
  const another = page.getByRole('button', { name: 'Another set' })
  await expect(
    page
      .getByRole('button', { name: /^Key(ed)? K$/ })
      .or(another)
      .first(),
  ).toBeVisible()
  if (await another.isVisible()) await another.click()
  await page.getByRole('button', { name: /Set the deviation with a tone/ }).click()
  const hands = new Hands(page)
  const says = (text: RegExp) => expect(page.getByLabel('Lesson')).toContainText(text)
  await says(/20 minutes/)
  await page.getByRole('button', { name: 'Show me how' }).click()
  await says(/Advance 20 min/)
  await hands.press('Advance 20 min')
  await says(/Feed in the tone/)
  await hands.press(/^Tone off/)
  await hands.key(true)
  await says(/Turn RV2/)
  await hands.turn('RV2', 0.6)
  await says(/Release the key/)
  await page.keyboard.press('k')
  await says(/Done/)
  await page.getByRole('button', { name: 'Finish and review' }).first().click()
  await page.getByRole('dialog').getByRole('button', { name: 'Finish and review' }).click()
  await expect(page.getByText('Lesson finished, nothing destroyed.')).toBeVisible()
  await expect(page.locator('.replay .js-plotly-plot')).toBeVisible()
  await page.getByLabel('moment').fill('1210')
  await expect(page.getByText(/min passed|tone on|keyed/).last()).toBeVisible()
})
