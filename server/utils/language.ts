import { AsyncLocalStorage } from 'node:async_hooks'
import { getCookie, getHeader, type H3Event } from 'h3'
import { decimalSignOf, isLanguage, type Language } from '#shared/i18n'

/** How a request is answered: in which language, and which decimal sign its reader chose, if any. */
interface Spoken {
  readonly language: Language
  readonly chosenSign: string | null
}

const spoken = new AsyncLocalStorage<Spoken>()

/** Language of the request that is being answered; English where there is none. */
export const spokenLanguage = (): Language => spoken.getStore()?.language ?? 'en'

/** Decimal sign of the request that is being answered, or of the paper that is written for it. */
export const spokenDecimalSign = () => decimalSignOf(spoken.getStore()?.chosenSign, spokenLanguage())

/** Answers a request as its page speaks. */
export function asPageSpeaks<T>(event: H3Event, work: () => T): T {
  const chosen = getCookie(event, 'language')
  const language = isLanguage(chosen) ? chosen : browserLanguage(event)
  return spoken.run({ language, chosenSign: getCookie(event, 'decimal') ?? null }, work)
}

/** The first language of a browser that has not chosen here, where it is one of ours. */
function browserLanguage(event: H3Event): Language {
  const first = getHeader(event, 'accept-language')?.slice(0, 2).toLowerCase()
  return isLanguage(first) ? first : 'en'
}

/** Writes a paper in the language of its owner; a sign that was chosen at the bench holds there too. */
export const inLanguage = <T>(language: Language, work: () => T): T =>
  spoken.run({ language, chosenSign: spoken.getStore()?.chosenSign ?? null }, work)
