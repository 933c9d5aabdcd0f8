import { useCookie } from '#imports'

/** The chosen language: the server reads it too, for papers, lists and refusals. */
export const useLanguageCookie = () => useCookie('language', { maxAge: 31_536_000, sameSite: 'lax' })
