/** A handover as it was frozen; the record itself is fetched apart. */
export interface HandoverIssue {
  readonly number: number
  readonly checksum: string
  /** as it was printed, where the owner was erased from the record afterwards */
  readonly printedChecksum: string | null
  readonly atMs: number
}
