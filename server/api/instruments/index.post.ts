import { randomUUID } from 'node:crypto'
import { instrumentProfile } from '#core/instrument'
import { instrumentBody } from '#shared/instrument'
import { pool } from '../../db/pool'
import { insertInstrument } from '../../db/queries/instrument'
import { apiHandler, created, validBody } from '../../utils/api'

export default apiHandler(async event => {
  const body = await validBody(event, instrumentBody)
  instrumentProfile(body.profileId)
  return created(event, await insertInstrument(pool, randomUUID(), body))
})
