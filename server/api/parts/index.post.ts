import type { PartTested } from '#core/run'
import { partTestedBody } from '#shared/partTest'
import { pool } from '../../db/pool'
import { insertDrawerPart } from '../../db/queries/drawerPart'
import { apiHandler, created, validBody } from '../../utils/api'

export default apiHandler(async event => {
  const part = (await validBody(event, partTestedBody)) as PartTested
  await insertDrawerPart(pool, part)
  return created(event, part)
})
