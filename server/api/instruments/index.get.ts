import { pool } from '../../db/pool'
import { selectInstruments } from '../../db/queries/instrument'
import { apiHandler } from '../../utils/api'

export default apiHandler(() => selectInstruments(pool))
