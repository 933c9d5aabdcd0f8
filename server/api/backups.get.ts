import { backupState } from '../services/backups'
import { apiHandler } from '../utils/api'

export default apiHandler(async () => backupState())
