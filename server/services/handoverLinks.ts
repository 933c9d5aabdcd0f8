import { t } from '#shared/i18n'
import { LINK_PATH, type HandoverLink, type NewHandoverLink } from '#shared/handoverLink'
import { jobTag } from '#shared/jobTag'
import type { SignedIn } from '#shared/people'
import { inTransaction, pool } from '../db/pool'
import {
  deleteExpiredLinks,
  deleteLink,
  readByLink,
  selectLinks,
  upsertLink,
} from '../db/queries/handoverLink'
import { selectIssues } from '../db/queries/handoverIssue'
import { insertAudit } from '../db/queries/workshop'
import { ApiError } from '../utils/apiError'
import { newToken, tokenHash } from '../utils/secret'
import { handoverPdf } from './handover'
import { requireJob } from './jobs'

export async function linksOf(jobId: string): Promise<HandoverLink[]> {
  await requireJob(jobId)
  return selectLinks(pool, jobId)
}

/**
 * An address by which the owner reads his copy, for some days.
 * @param by null where nobody signs in
 * @throws {ApiError} unknown-issue: nothing was handed over yet; id-reused
 */
export async function makeLink(
  jobId: string,
  { id, days }: { id: string; days: number },
  by: SignedIn | null,
): Promise<NewHandoverLink> {
  const { number } = await requireJob(jobId)
  if ((await selectIssues(pool, jobId)).length === 0)
    throw new ApiError(409, 'unknown-issue', t('server.linkNeedsHandover'))
  const token = newToken()
  await inTransaction(async db => {
    await deleteExpiredLinks(db)
    const link = { id, jobId, tokenHash: tokenHash(token), madeBy: by?.personId ?? null, days }
    if (!(await upsertLink(db, link)))
      throw new ApiError(409, 'id-reused', t('server.thisIdBelongsToAnotherEntry'))
    if (by) await insertAudit(db, 'link-made', by, jobTag(number))
  })
  return { links: await selectLinks(pool, jobId), path: LINK_PATH + token }
}

/** From now on it opens nothing. @throws {ApiError} unknown-link */
export async function endLink(id: string, by: SignedIn | null): Promise<HandoverLink[]> {
  const jobId = await inTransaction(async db => {
    const of = await deleteLink(db, id)
    if (!of) throw new ApiError(404, 'unknown-link', t('server.notFound', { named: t('server.link'), id }))
    if (by) await insertAudit(db, 'link-ended', by, jobTag((await requireJob(of)).number))
    return of
  })
  return selectLinks(pool, jobId)
}

/** The owner's copy of the newest handover. @returns null when the secret opens nothing, or no more */
export async function readBySecret(secret: string): Promise<{ name: string; pdf: Buffer } | null> {
  const jobId = await readByLink(pool, tokenHash(secret))
  return jobId ? handoverPdf(jobId, 'owner', null) : null
}
