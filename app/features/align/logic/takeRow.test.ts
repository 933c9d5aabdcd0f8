import { afterEach, describe, expect, it } from 'vitest'
import { SHEETS } from '#core/sheet'
import { readLanguageFrom, withTextsTranslated } from '#shared/i18n'
import { rowConditions } from './takeRow'

afterEach(() => readLanguageFrom(() => 'en'))
const nothingLive = () => null

describe('what a row is kept under', () => {
  it.each(SHEETS.map(s => [s.model, s] as const))(
    'is the same whichever language the page speaks: %s',
    (_, sheet) => {
      const kept = () => {
        const shown = withTextsTranslated(sheet)
        return shown.matrix.map(point => rowConditions(shown, point, nothingLive))
      }
      const english = kept()
      readLanguageFrom(() => 'es')
      expect(kept()).toEqual(english)
    },
  )
})
