import { pool } from '../db/pool'
import { apiHandler } from '../utils/api'

export default apiHandler(async () => {
  await pool.query('select 1')
  return { ok: true }
})
