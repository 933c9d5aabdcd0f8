import { number, object, uuid } from '#shared/yup'
import { UNKNOWN_FIELD } from './unknownField'

/** How long an owner's link can be made to last [days]; the first is offered. */
export const LINK_DAYS = [30, 7, 90] as const

/** Where an owner's link leads, before its secret. */
export const LINK_PATH = '/handed-over/'

/** An address by which an owner reads his copy; its secret is told once, when it is made. */
export interface HandoverLink {
  readonly id: string
  readonly madeAtMs: number
  readonly expiresAtMs: number
  readonly timesRead: number
}

/** What comes back when one is made. */
export interface NewHandoverLink {
  readonly links: readonly HandoverLink[]
  readonly path: string
}

export const handoverLinkBody = object({
  id: uuid(),
  days: number().oneOf(LINK_DAYS).required(),
}).noUnknown(true, UNKNOWN_FIELD)
