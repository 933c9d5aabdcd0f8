/** How another device of the bench network gets in. */
export interface WayIn {
  /** not at all by itself; plain, for a proxy that encrypts; with a certificate */
  readonly reach: 'this-machine' | 'proxy' | 'encrypted'
  /** by which it is opened from elsewhere, where it is reached encrypted */
  readonly addresses: readonly string[]
  /** the first of them for a camera; drawn by the server */
  readonly qrSvg: string | null
  /** SHA-256 of what a device has to trust; null = a certificate that it trusts already */
  readonly fingerprint: string | null
}
