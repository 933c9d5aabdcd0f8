import { Readable } from 'node:stream'
import { sendStream, setResponseHeaders } from 'h3'
import { everyReadingCsv } from '../services/record'
import { apiHandler } from '../utils/api'

export default apiHandler(event => {
  setResponseHeaders(event, {
    'content-type': 'text/csv; charset=utf-8',
    'content-disposition': 'attachment; filename="readings.csv"',
  })
  return sendStream(event, Readable.from(everyReadingCsv()))
})
