/** A handover as it was frozen; the record itself is fetched apart. */
export interface HandoverIssue {
  readonly number: number
  readonly checksum: string
  readonly atMs: number
}
