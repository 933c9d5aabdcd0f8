import type { MessageCode } from '#shared/i18n'
import { string } from '#shared/yup'

/** Longest note; a bench note is a few lines, not a file. */
export const NOTE_MAX = 10_000

export const text = (label: MessageCode) => string().label(label).max(NOTE_MAX)
