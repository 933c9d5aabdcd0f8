import { createRequire } from 'node:module'

const require = createRequire(import.meta.url)
const file = (name: string) => require.resolve(`@fontsource/${name}`)
const next = (subset: string, weight: number) =>
  file(`atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-${subset}-${weight}-normal.woff`)
const noto = (subset: string, weight: number) =>
  file(`noto-sans/files/noto-sans-${subset}-${weight}-normal.woff`)
const face = (of: (subset: string, weight: number) => string, subset: string) => ({
  normal: of(subset, 400),
  bold: of(subset, 700),
})

/** Fonts that are embedded; each web subset is a font of its own. */
export function pdfFonts() {
  return {
    Latin: face(next, 'latin'),
    LatinExt: face(next, 'latin-ext'),
    Greek: face(noto, 'greek'),
    Cyrillic: face(noto, 'cyrillic'),
    Figures: {
      normal: file('atkinson-hyperlegible-mono/files/atkinson-hyperlegible-mono-latin-400-normal.woff'),
      bold: file('atkinson-hyperlegible-mono/files/atkinson-hyperlegible-mono-latin-700-normal.woff'),
    },
  }
}

const LATIN_LETTERS = '\\n\\t\\u0020-\\u00FF\\u0131\\u0152\\u0153\\u02BB\\u02BC\\u02C6\\u02DA\\u02DC'
const LATIN_SIGNS = '\\u2000-\\u206F\\u20AC\\u2122\\u2191\\u2193\\u2212\\u2215'
/**
 * What each subset holds, as its maker publishes it (unicode-range of the web fonts), the first that fits is
 * taken.
 */
const COVERAGE: readonly { readonly font: string; readonly has: RegExp }[] = [
  {
    font: 'Latin',
    has: new RegExp(`[${LATIN_LETTERS}${LATIN_SIGNS}]`),
  },
  {
    font: 'LatinExt',
    has: /[\u0100-\u02BA\u02BD-\u02C5\u02C7-\u02CC\u02CE-\u02D7\u1E00-\u1E9F\u1EF2-\u1EFF]/,
  },
  { font: 'Greek', has: /[\u0370-\u0377\u037A-\u037F\u0384-\u038A\u038C\u038E-\u03A1\u03A3-\u03FF]/ },
  { font: 'Cyrillic', has: /[\u0400-\u045F\u0490\u0491\u04B0\u04B1\u2116]/ },
]
/**
 * Letters that the fonts hold under another code point: micro as Greek mu, the narrow no-break space as a
 * thin one.
 */
const STAND_IN: Readonly<Record<string, string>> = { '\u00B5': '\u03BC', '\u202F': '\u2009' }
/** Stands for what no embedded font holds, so that nothing vanishes silently. */
const MISSING = '?'

export interface Run {
  readonly text: string
  readonly font: string
}

/** A text as runs of one font each: the embedded subsets hold different scripts. */
export function runs(text: string): Run[] {
  const out: { text: string; font: string }[] = []
  for (const written of text) {
    const char = STAND_IN[written] ?? written
    const font = COVERAGE.find(c => c.has.test(char))?.font ?? null
    const last = out.at(-1)
    // Spaces and points belong to whatever stands around them.
    if (last && (font === last.font || (font === 'Latin' && /\s/.test(char)))) last.text += char
    else out.push({ text: font ? char : MISSING, font: font ?? 'Latin' })
  }
  return out
}
