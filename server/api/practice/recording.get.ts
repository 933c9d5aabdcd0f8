import { setResponseHeaders } from 'h3'
import { benchRecording } from '../../services/practice'
import { apiHandler } from '../../utils/api'

export default apiHandler(async event => {
  const { bytes, rateHz, centreHz } = await benchRecording()
  setResponseHeaders(event, {
    'content-type': 'application/octet-stream',
    'x-rate-hz': String(rateHz),
    'x-centre-hz': String(centreHz),
    'cache-control': 'no-store',
  })
  return bytes
})
