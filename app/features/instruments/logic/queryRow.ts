import type { OwnProfile } from '#shared/instrument'

/** One query of an instrument as it is typed. */
export interface QueryRow {
  quantity: OwnProfile['quantities'][number]['quantity']
  query: string
  toSi: string
  percent: string
  absolute: string
}
