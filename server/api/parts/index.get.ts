import { pool } from '../../db/pool'
import { selectDrawerParts } from '../../db/queries/drawerPart'
import { apiHandler } from '../../utils/api'

export default apiHandler(() => selectDrawerParts(pool))
