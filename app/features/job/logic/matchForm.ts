import { CoreError } from '#core/errors'
import { numberForField, parseTyped, type Quantity } from '#core/quantity'
import type { AntennaMatch } from '#core/run'
import { t } from '#shared/i18n'
import { errorWords } from '#shared/words/messageWords'

/** What the line to the antenna showed, as it is being typed. */
export interface MatchDraft {
  forward: string
  reflected: string
  swr: string
  meterAt: AntennaMatch['meterAt']
}
type Field = 'forward' | 'reflected' | 'swr'
const QUANTITIES: Readonly<Record<Field, Quantity>> = { forward: 'powerW', reflected: 'powerW', swr: 'swr' }

export const matchDraft = (match: AntennaMatch | undefined): MatchDraft => ({
  forward: numberForField(match?.forwardW ?? null),
  reflected: numberForField(match?.reflectedW ?? null),
  swr: numberForField(match?.swr ?? null),
  meterAt: match?.meterAt ?? null,
})

/** What of it was read, and what is wrong by field. */
export interface MatchTyped {
  readonly match: AntennaMatch | null
  readonly problems: Readonly<Partial<Record<Field, string>>>
}

/** A field that is left empty was not read; a bound is no figure to reckon with. */
export function matchTyped(draft: MatchDraft): MatchTyped {
  const problems: Partial<Record<Field, string>> = {}
  const read = (field: Field): number | null => {
    if (draft[field].trim() === '') return null
    try {
      const { value, bound } = parseTyped(draft[field], QUANTITIES[field])
      if (bound === undefined) return value
      problems[field] = t('settings.figureWanted')
    } catch (error) {
      if (!(error instanceof CoreError)) throw error
      problems[field] = errorWords(error)
    }
    return null
  }
  const [forwardW, reflectedW, swr] = [read('forward'), read('reflected'), read('swr')]
  if (forwardW !== null && reflectedW !== null && reflectedW > forwardW)
    problems.reflected = t('form.reflectedAboveForward')
  const isRead = forwardW !== null || reflectedW !== null || swr !== null
  return { match: isRead ? { forwardW, reflectedW, swr, meterAt: draft.meterAt } : null, problems }
}
