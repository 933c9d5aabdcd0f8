import type { AttachmentKind } from '#shared/attachment'
import type { Failure } from '~/data/failureWords'

/** An upload on its way, or one that did not arrive: the file stays here until it does or is given up. */
export interface Upload {
  readonly id: string
  readonly kind: AttachmentKind
  readonly about: string
  readonly name: string
  readonly file: Blob
  readonly share: number
  readonly failure: Failure | null
}
