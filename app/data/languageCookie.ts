import { useCookie } from '#imports'

const LASTS = { maxAge: 31_536_000, sameSite: 'lax' } as const

/** The chosen language: the server reads it too, for papers, lists and refusals. */
export const useLanguageCookie = () => useCookie('language', LASTS)

/** The chosen decimal sign; nothing where that of the language is good enough. */
export const useDecimalCookie = () => useCookie('decimal', LASTS)
