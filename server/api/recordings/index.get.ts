import { object, string } from '#shared/yup'
import { UNKNOWN_FIELD } from '#shared/unknownField'
import { recordings } from '../../services/recordings'
import { apiHandler, validQuery } from '../../utils/api'

const query = object({ jobId: string().uuid() }).noUnknown(true, UNKNOWN_FIELD)

export default apiHandler(async event => recordings((await validQuery(event, query)).jobId ?? null))
