/** How another device of the bench network gets in. */
export interface WayIn {
  /** none = this machine only, or a proxy of one's own */
  readonly addresses: readonly string[]
  /** the first of them for a camera; drawn by the server */
  readonly qrSvg: string | null
  /** SHA-256 of what a device has to trust; null = a certificate that it trusts already */
  readonly fingerprint: string | null
}
