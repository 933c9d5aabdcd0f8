import { TYPE, type MessageFormatElement } from '@formatjs/icu-messageformat-parser'
import type { Page } from '@playwright/test'
import type { BrowserTexts } from '#shared/i18n'

/** Every letter with an accent: what has none did not come from the catalogue. */
const PLAIN = 'abcdefghijklmnopqrstuvwxyz'
const ACCENTED = 'áƀçđéƒğĥíĵķĺḿñóṕʠŕšťúṽŵẋýž'

/** A text of no language: accented, and a third longer, as translations are. */
export function pseudo(text: string): string {
  const letters = text.match(/[a-z]/gi)?.length ?? 0
  if (letters === 0) return text
  return (
    text.replace(/[a-z]/g, letter => ACCENTED[PLAIN.indexOf(letter)]!) + 'ö'.repeat(Math.ceil(letters / 3))
  )
}

function pseudoElements(elements: readonly MessageFormatElement[]): MessageFormatElement[] {
  return elements.map(e => {
    if (e.type === TYPE.literal) return { ...e, value: pseudo(e.value) }
    if (e.type !== TYPE.plural && e.type !== TYPE.select) return e
    const options = Object.entries(e.options).map(([key, o]) => [
      key,
      { ...o, value: pseudoElements(o.value) },
    ])
    return { ...e, options: Object.fromEntries(options) } as MessageFormatElement
  })
}

/** Speaks the language of no country in a page: the place of Spanish is taken by accented English. */
export async function speakPseudo(page: Page, address: string, trade: readonly string[]): Promise<void> {
  const { messages } = (await (await fetch(`${address}/api/texts/en`)).json()) as BrowserTexts
  const json = {
    messages: Object.fromEntries(
      Object.entries(messages).map(([code, t]) => [
        code,
        typeof t === 'string' ? pseudo(t) : pseudoElements(t),
      ]),
    ),
    trade: Object.fromEntries(trade.map(text => [text, pseudo(text)])),
  }
  await page.context().addCookies([{ name: 'language', value: 'es', url: address }])
  await page.route('**/api/texts/es', route => route.fulfill({ json }))
}

/** English texts of the tables of core: those that have Spanish. */
export async function tradeTexts(address: string): Promise<string[]> {
  const { trade } = (await (await fetch(`${address}/api/texts/es`)).json()) as BrowserTexts
  return Object.keys(trade)
}
