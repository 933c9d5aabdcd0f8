import { sheetList } from '../../services/sheets'
import { apiHandler } from '../../utils/api'

export default apiHandler(() => sheetList())
