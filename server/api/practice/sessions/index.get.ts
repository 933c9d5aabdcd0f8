import { pool } from '../../../db/pool'
import { selectPractices } from '../../../db/queries/practice'
import { apiHandler } from '../../../utils/api'

export default apiHandler(() => selectPractices(pool))
