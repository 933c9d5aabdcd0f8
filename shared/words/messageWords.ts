import { withDecimalSign } from '#core/quantity'
import { CoreError } from '#core/errors'
import type { Message, MessageValues, Term } from '#core/message'
import { t, translated, type MessageCode } from '#shared/i18n'
import { midSentence } from './sentence'

/** What core says, in the language that is spoken. */
export function messageWords({ code, values }: Message): string {
  return t(
    code as MessageCode,
    Object.fromEntries(Object.entries(values).map(([name, value]) => [name, shown(value)])),
  )
}

/** Core writes numbers with a point, the digits that count already chosen. */
const NUMBER = /^[+-]?\d+\.\d+$/

function shown(value: MessageValues[string]): string | number {
  if (typeof value === 'string') return NUMBER.test(value) ? withDecimalSign(value) : value
  if (typeof value !== 'object') return value
  if (Array.isArray(value)) return value.map((v: Term) => midSentence(translated(v.term))).join(', ')
  if (!('term' in value)) return messageWords(value as Message)
  return translated(value.term)
}

/** What was thrown, for whoever reads it: core says what is wrong, anything else speaks for itself. */
export function errorWords(error: unknown): string {
  if (error instanceof CoreError) return messageWords(error.says)
  return error instanceof Error ? error.message : String(error)
}

/** Notes of a recording with their words beside: kept and passed on, they stay as they were read. */
export const wordedNotes = <N extends { readonly says: Message }>(
  notes: readonly N[],
): (N & { readonly words: string })[] => notes.map(n => ({ ...n, words: messageWords(n.says) }))
