import { expect, test as base, type Page } from '@playwright/test'
import { readFileSync, readdirSync } from 'node:fs'
import { join } from 'node:path'
import { testHouse, type TestHouse } from '../integration/house'

const CATALOGUE = join(import.meta.dirname, '..', '..', 'i18n', 'en')
/** Codes of every message, by area and name. */
const CODES = readdirSync(CATALOGUE)
  .filter(file => file.endsWith('.json'))
  .flatMap(file =>
    Object.keys(JSON.parse(readFileSync(join(CATALOGUE, file), 'utf8')) as object).map(
      name => `${file.slice(0, -'.json'.length)}.${name}`,
    ),
  )

/** One house per worker: its own database, gateway, simulated bench and server, as built. */
export const test = base.extend<object, { house: TestHouse }>({
  house: [
    // eslint-disable-next-line no-empty-pattern -- Playwright asks for a pattern, even of nothing
    async ({}, use) => {
      const house = await testHouse({ networks: '' })
      await use(house)
      await house.stop()
    },
    { scope: 'worker', timeout: 300_000 },
  ],
  // A page is there when it hears presses, not when its picture is painted.
  page: async ({ page }, use) => {
    const goto = page.goto.bind(page)
    page.goto = async (url, options) => {
      const response = await goto(url, options)
      await page.waitForFunction(() => document.documentElement.dataset.ready === 'true', undefined, {
        timeout: 30_000,
      })
      return response
    }
    const codes = await codesShown(page)
    const refused: string[] = []
    page.on('console', said => {
      if (said.text().includes('Content Security Policy')) refused.push(said.text())
    })
    await use(page)
    expect(refused, 'what the page itself needs and its policy refuses').toEqual([])
    expect(codes, 'codes of messages that were shown in the place of their words').toEqual([])
  },
})

/**
 * Codes of messages that stand on the page as they are, at any moment of a test: a table of codes that was
 * not worded shows them only in the state that asks for it.
 */
async function codesShown(page: Page): Promise<string[]> {
  const codes: string[] = []
  await page.exposeFunction('codeShown', (code: string) => codes.push(code))
  await page.addInitScript(known => {
    const isCode = new Set(known)
    const tell = (text: string | null | undefined) => {
      for (const word of text?.match(/\b[a-z]+\.[A-Za-z0-9]+\b/g) ?? [])
        if (isCode.delete(word))
          void (window as unknown as { codeShown: (c: string) => void }).codeShown(word)
    }
    const NAMES = ['aria-label', 'title', 'placeholder']
    const named = (e: Element) => NAMES.forEach(name => tell(e.getAttribute(name)))
    const look = (node: Node) => {
      tell(node.textContent)
      if (!(node instanceof Element)) return
      named(node)
      node.querySelectorAll('[aria-label],[title],[placeholder]').forEach(named)
    }
    new MutationObserver(changes => {
      for (const c of changes) {
        if (c.type === 'attributes') named(c.target as Element)
        if (c.type === 'characterData') tell(c.target.textContent)
        c.addedNodes.forEach(look)
      }
    }).observe(document, {
      subtree: true,
      childList: true,
      characterData: true,
      attributes: true,
      attributeFilter: ['aria-label', 'title', 'placeholder'],
    })
  }, CODES)
  return codes
}
export { expect }

/** The simulated set as it first came in, warm or cold. */
export async function deliver(house: TestHouse, { warm = true } = {}): Promise<void> {
  // Another test may have put another set on the bench, or another kit in front of it.
  await house.request('POST', '/api/practice/free', { designId: 'osmund-27f', kitId: 'usual', seed: 27 })
  for (const key of ['power', 'counter', 'modulation', 'supply'])
    await house.request('POST', '/api/practice', { plug: { key, pluggedIn: true } })
  if (warm) await house.request('POST', '/api/practice', { warmByS: 1500 })
}

/**
 * Waits as a person does before believing a number: every instrument on the rail has read the set this long
 * after the last touch.
 */
export async function settled(page: Page, afterMs: number): Promise<void> {
  const touchedMs = await page.evaluate(() => Date.now())
  await page.waitForFunction(fromMs => {
    const read = [...document.querySelectorAll<HTMLElement>('.frame-rail .ro[data-received-at]')]
    const fresh = read.filter(cell => !cell.classList.contains('stale'))
    // What no mode reads any more stays stale for ever; all stale at once is an instrument that pauses.
    return (
      (read.length === 0 || fresh.length > 0) &&
      fresh.every(cell => Number(cell.dataset.receivedAt) >= fromMs)
    )
  }, touchedMs + afterMs)
}

/** Hands on the simulator, as a person uses it beside the job. */
export class Panel {
  constructor(readonly page: Page) {}

  private get panel() {
    return this.page.getByRole('complementary', { name: 'Simulator' })
  }

  async open() {
    if (await this.panel.isVisible()) return
    await expect(this.page.getByRole('button', { name: 'Simulator', exact: true })).toBeVisible()
    await this.page.keyboard.press('p')
    await expect(this.panel).toBeVisible()
  }

  async state(want: { channel?: number | null; keyed?: boolean; lowPower?: boolean; tone?: boolean }) {
    const toggle = async (name: RegExp, on: boolean, isOn: RegExp) => {
      const button = this.panel.getByRole('button', { name })
      if (isOn.test(await button.innerText()) !== on) await button.click()
      if (on) await expect(button).toHaveText(isOn)
      else await expect(button).not.toHaveText(isOn)
    }
    if (want.channel) {
      await this.panel.getByLabel('channel', { exact: true }).selectOption(String(want.channel))
      await expect(this.panel.getByLabel('channel', { exact: true })).toHaveValue(String(want.channel))
    }
    await toggle(/^Power (high|low)/, want.lowPower ?? false, /low/)
    await toggle(/^Tone (on|off)/, want.tone ?? false, / on$/)
    await toggle(/^Key(ed)? K$/, want.keyed ?? false, /Keyed/)
    await settled(this.page, 700)
  }

  async turn(designator: string, position: number) {
    const slider = this.panel.getByRole('slider', { name: new RegExp(`^${designator} `) })
    await slider.fill(String(position))
    await slider.dispatchEvent('change')
    await settled(this.page, 500)
  }

  async press(name: RegExp) {
    await this.panel.getByRole('button', { name }).click()
  }

  async shows(label: RegExp): Promise<number> {
    const text = (await this.panel.locator('.shows').allInnerTexts()).join(' ')
    return Number(label.exec(text)![1])
  }
}

/** The number in large figures, as a person reads it. */
export async function big(page: Page): Promise<number> {
  const text = await page.getByTestId('big').innerText()
  return Number(text.replace('\u2212', '-').replace(/[\s\u2009+]/g, ''))
}

export const ladder = (page: Page, step: string) => page.locator(`[data-step="${step}"]`)
export const said = (page: Page) => page.locator('.said[role=status]')
