/** Undoes everything that a transaction did, and brings out what was learned. */
export class DryRun<Report = unknown> extends Error {
  constructor(readonly report: Report) {
    super('dry run')
  }
}
