import { getHeader, setResponseStatus, type H3Event } from 'h3'
import type { JobEvent } from '#core/run'
import { t } from '#shared/i18n'
import { jobEventBody } from '#shared/jobEvents'
import { ENTERED_BY, MADE_BY_SHEET, NOBODY, type SignedIn } from '#shared/people'
import { appendEvent } from '../../../services/jobs'
import { apiHandler, idParam, validBody } from '../../../utils/api'
import { ApiError } from '../../../utils/apiError'

export default apiHandler(async event => {
  const jobId = idParam(event, 'unknown-job')
  const body = (await validBody(event, jobEventBody)) as JobEvent
  const madeBy = getHeader(event, MADE_BY_SHEET) ?? null
  const { isNew } = await appendEvent(jobId, body, authorOf(event), madeBy)
  setResponseStatus(event, isNew ? 201 : 200)
  return { id: body.id, isNew }
})

/**
 * An entry may have waited in a browser while somebody else signed in there: whoever entered it has to be
 * the one who sends it. What was entered before there was a sign-in has no author.
 */
function authorOf(event: H3Event): SignedIn | null {
  const person = event.context.person ?? null
  const enteredBy = getHeader(event, ENTERED_BY) ?? person?.personId ?? NOBODY
  if (enteredBy === NOBODY) return null
  if (enteredBy !== person?.personId) throw new ApiError(409, 'other-person', t('server.enteredByAnother'))
  return person
}
