import { newRecordingBody } from '#shared/recording'
import { beginRecording } from '../../services/recordings'
import { apiHandler, created, validBody } from '../../utils/api'

export default apiHandler(async event => {
  const body = await validBody(event, newRecordingBody)
  await beginRecording(body)
  return created(event, { id: body.id })
})
