import type { MessageFormatElement } from '@formatjs/icu-messageformat-parser'
import type en from '#i18n/en'

type Areas = typeof en

/** Code of a message: its area and its name there, as "align.notTaken". */
export type MessageCode = {
  [Area in keyof Areas & string]: `${Area}.${keyof Areas[Area] & string}`
}[keyof Areas & string]

/** Messages of one language by area, as the files of `i18n/<language>/` hold them. */
export type AreaTexts = Readonly<Record<string, Readonly<Record<string, string>>>>

/** An ICU text, or what a parser made of it: a browser is sent the latter and needs no parser. */
export type Text = string | MessageFormatElement[]

/** Messages of one language by code. */
export type Texts = Readonly<Record<string, Text>>

/** What a browser is given to speak a language. */
export interface BrowserTexts {
  readonly messages: Texts
  readonly trade: Readonly<Record<string, string>>
}

export function textsByCode(areas: AreaTexts): Readonly<Record<string, string>> {
  return Object.fromEntries(
    Object.entries(areas).flatMap(([area, texts]) =>
      Object.entries(texts).map(([name, text]) => [`${area}.${name}`, text]),
    ),
  )
}
