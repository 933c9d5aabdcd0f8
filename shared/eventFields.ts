import type { MessageCode } from '#shared/i18n'
import { number, string } from '#shared/yup'

/** Longest note; a bench note is a few lines, not a file. */
export const NOTE_MAX = 10_000

export const text = (label: MessageCode) => string().label(label).max(NOTE_MAX)

export const short = (label: MessageCode) => string().trim().label(label).max(300)
export const amount = (label: MessageCode, max: number) => number().label(label).min(0).max(max)
/** As `amount`; null says that nobody read it. */
export const unit = (label: MessageCode, max: number) => amount(label, max).nullable().defined()
