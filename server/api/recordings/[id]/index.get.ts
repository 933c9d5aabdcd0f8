import { requireRecording } from '../../../services/recordings'
import { apiHandler, idParam } from '../../../utils/api'

export default apiHandler(event => requireRecording(idParam(event, 'unknown-recording')))
