import type { Page } from '@playwright/test'
import { expect, deliver, test } from './bench'
import { jobPaths, mainPaths } from './mainPaths'
import { speakPseudo, tradeTexts } from './pseudoTexts'

type House = Parameters<typeof deliver>[0]

/** The beginning of a SHA-256, which may hold three letters in a row. */
const CHECKSUM = /\b[0-9a-f]{12,}\b/g
/** What a page may show in any language: names of keys, formats and units, numbers of jobs, dates. */
const ANYWHERE = 'Esc|Enter|Space|Diapason|English|Español|min|ppm|log|S|csv|wav|sigmf'
const NAMES = new RegExp(`\\b(?:W-\\d{4}|\\d{1,2} [a-z]{3} \\d{4}|${ANYWHERE})\\b`, 'g')

/** Every visible text, and every name of a control, that holds a word without an accent. */
const unaccented = (page: Page) =>
  page.evaluate(() => {
    const out = new Set<string>()
    const accent = /[áéíóúýçñšžĺŕđťğĥķŵƀḿṕƒṽẋʠĵ]/
    const isWord = (text: string) => /[a-z]{3,}/.test(text) && !accent.test(text)
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT)
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      const element = node.parentElement!
      const text = node.textContent!.replace(/\s+/g, ' ').trim()
      if (element.closest('script, style, .plot, textarea')) continue
      if (element.tagName !== 'OPTION' && !element.checkVisibility()) continue
      if (isWord(text)) out.add(text)
    }
    for (const element of document.body.querySelectorAll('[aria-label], [title], [placeholder]'))
      for (const name of ['aria-label', 'title', 'placeholder']) {
        const text = element.getAttribute(name)
        if (text && isWord(text) && !element.closest('.plot')) out.add(text)
      }
    return [...out]
  })

/** Texts that are cut off: wider than what holds them, and not to be scrolled to. */
const cut = (page: Page) =>
  page.evaluate(() =>
    [...document.querySelectorAll<HTMLElement>('body *')]
      .filter(e => {
        const style = getComputedStyle(e)
        const holds = [...e.childNodes].some(
          n => n.nodeType === Node.TEXT_NODE && n.textContent!.trim() !== '',
        )
        return (
          holds &&
          // Chosen values are read whole in their list, and what only a screen reader says is never cut.
          !e.matches('.sr, .v-select__selection-text') &&
          e.checkVisibility() &&
          style.overflowX !== 'visible' &&
          style.overflowX !== 'auto' &&
          style.overflowX !== 'scroll' &&
          e.scrollWidth > e.clientWidth + 1
        )
      })
      .map(e => `${e.className}: ${e.textContent!.trim().slice(0, 60)}`),
  )

/** The main screens, those that need no axe, and each page of a job with another kind of set. */
async function pathsOf(house: House): Promise<string[]> {
  await deliver(house)
  const of = await jobPaths(house)
  const more = [
    'intake',
    'inspection',
    'as-found',
    'findings',
    'repair',
    'trials',
    'soak',
    'align',
    'as-left',
    'handover',
  ]
  const others = more.flatMap(page => [of(231, page), of(228, page)])
  return [...new Set([...(await mainPaths(house)), '/instruments/stepped', '/signals', ...others])]
}

/** What people typed, and what stands in records: everything in answers of the server. */
function heard(page: Page, trade: ReadonlySet<string>): () => Promise<string> {
  const texts = new Set<string>()
  // The page may have shown an answer before it is read here.
  const reads: Promise<void>[] = []
  const walk = (value: unknown): void => {
    if (typeof value === 'string' && !trade.has(value)) texts.add(value)
    else if (value !== null && typeof value === 'object') Object.values(value).forEach(walk)
  }
  page.on('response', response => {
    const url = new URL(response.url())
    if (url.pathname.startsWith('/api/') && !/texts|live/.test(url.pathname))
      reads.push(response.json().then(walk, () => undefined))
  })
  return async () => {
    await Promise.all(reads.splice(0))
    return [...texts].join('\n').replace(/\s+/g, ' ')
  }
}

/** Texts that are neither of the catalogue nor typed by people, who name instruments as they like too. */
async function strangeTexts(page: Page, house: House, known: () => Promise<string>) {
  const instruments = (await house.request('GET', '/api/instruments')).body as { name: string }[]
  // The owner of an exercise speaks as the trade does, and what he said stays as it was written down.
  const jobs = (await house.request('GET', '/api/jobs')).body as { job: { complaint: string } }[]
  const said = [...instruments.map(i => i.name), ...jobs.map(j => j.job.complaint)]
  return async () => {
    const shown = await unaccented(page)
    const typed = await known()
    return shown.filter(text => {
      const own = text.replaceAll(NAMES, '').replaceAll(CHECKSUM, '').trim()
      return /[a-z]{3,}/.test(own) && !typed.includes(own) && !said.includes(text)
    })
  }
}

for (const [width, height] of [
  [1280, 800],
  [390, 844],
] as const) {
  test(`${width} px: every text comes from the catalogue, and none is cut when it is a third longer`, async ({
    page,
    house,
  }) => {
    test.setTimeout(300_000)
    await page.setViewportSize({ width, height })
    const trade = await tradeTexts(house.address)
    await speakPseudo(page, house.address, trade)
    const known = heard(page, new Set(trade))
    const strange = await strangeTexts(page, house, known)
    for (const path of await pathsOf(house)) {
      await page.goto(house.address + path)
      await expect(page.locator('h1').first()).toBeVisible()
      await page.waitForTimeout(700)
      expect.soft(await strange(), path).toEqual([])
      expect.soft(await cut(page), `${path}: cut`).toEqual([])
    }
  })
}

test('what keys open on the run comes from the catalogue too', async ({ page, house }) => {
  await page.setViewportSize({ width: 1280, height: 800 })
  const trade = await tradeTexts(house.address)
  await speakPseudo(page, house.address, trade)
  const strange = await strangeTexts(page, house, heard(page, new Set(trade)))
  await page.goto(house.address + (await jobPaths(house))(231, 'align'))
  await expect(page.locator('h1').first()).toBeVisible()
  for (const key of ['?', 'n', 'b']) {
    await page.keyboard.press(key)
    await expect(page.getByRole('dialog'), key).toBeVisible()
    expect.soft(await strange(), key).toEqual([])
    expect.soft(await cut(page), `${key}: cut`).toEqual([])
    await page.keyboard.press('Escape')
    await expect(page.getByRole('dialog'), key).toBeHidden()
  }
})

test('a language is chosen in the menu, stays, and the owner is written to in his own', async ({
  page,
  house,
}) => {
  await page.goto(house.address)
  await page.getByRole('button', { name: 'Español' }).click()
  await expect(page.getByRole('link', { name: 'Instrumentos' })).toBeVisible()
  await expect(page.locator('html')).toHaveAttribute('lang', 'es')
  await page.goto(`${house.address}/sheets/osmund-27f`)
  await expect(page.getByText(/Deje el equipo encendido 20 minutos/).first()).toBeVisible()

  await page.goto(house.address + (await jobPaths(house))(228, 'intake'))
  // The chosen value lies over the field itself.
  await page.getByLabel('Idioma del cliente').press('ArrowDown')
  await page.getByRole('option', { name: 'English' }).click()
  await page.getByRole('button', { name: 'Guardar correcciones' }).click()
  await expect(page.getByText('Entrada corregida')).toBeVisible()

  await page.getByRole('button', { name: 'English' }).click()
  await expect(page.getByRole('link', { name: 'Instruments' })).toBeVisible()
  await page.reload()
  await expect(page.getByLabel('Language of the owner')).toBeVisible()
})
