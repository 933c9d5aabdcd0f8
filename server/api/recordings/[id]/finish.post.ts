import { finishRecording } from '../../../services/recordings'
import { apiHandler, idParam } from '../../../utils/api'

export default apiHandler(event => finishRecording(idParam(event, 'unknown-recording')))
