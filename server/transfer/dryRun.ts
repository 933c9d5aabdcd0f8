import { inTransaction, type Db } from '../db/pool'
import { indexPending } from '../db/queries/jobIndex'
import { continueNumbers } from '../db/queries/transfer'

/** Undoes everything that a transaction did, and brings out what was learned. */
class DryRun<Report> extends Error {
  constructor(readonly report: Report) {
    super('dry run')
  }
}

/**
 * Takes jobs in, all of them or none; afterwards search knows them and the next number is beyond them.
 * @param really false: everything is done, told, and undone
 * @returns what the work tells of itself
 */
export async function takenIn<Report>(really: boolean, work: (db: Db) => Promise<Report>): Promise<Report> {
  try {
    return await inTransaction(async db => {
      const report = await work(db)
      if (!really) throw new DryRun(report)
      await continueNumbers(db)
      while (await indexPending(db)) {
        /* until nothing is left */
      }
      return report
    })
  } catch (error) {
    if (error instanceof DryRun) return (error as DryRun<Report>).report
    throw error
  }
}
