import { getQuery } from 'h3'
import { object, string } from '#shared/yup'
import { UNKNOWN_FIELD } from '#shared/unknownField'
import { recordings } from '../../services/recordings'
import { apiHandler } from '../../utils/api'

const query = object({ jobId: string().uuid() }).noUnknown(true, UNKNOWN_FIELD)

export default apiHandler(async event =>
  recordings((await query.validate(getQuery(event), { strict: true })).jobId ?? null),
)
