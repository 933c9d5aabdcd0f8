import { createEventStream } from 'h3'
import { pool } from '../../../db/pool'
import { countEvents } from '../../../db/queries/jobEvent'
import { requireJob } from '../../../services/jobs'
import { listenToJob } from '../../../services/jobLive'
import { holdStream } from '../../../services/openStreams'
import { apiHandler, idParam } from '../../../utils/api'

/** A line that says nothing for long is cut by what stands between [ms]. */
const BREATH_MS = 20_000

export default apiHandler(async event => {
  const { id } = await requireJob(idParam(event, 'unknown-job'))
  holdStream(event)
  const stream = createEventStream(event)
  const stop = listenToJob(id, news => void stream.push({ event: news.kind, data: JSON.stringify(news) }))
  const breath = setInterval(() => void stream.push({ event: 'breath', data: '' }), BREATH_MS)
  stream.onClosed(async () => {
    clearInterval(breath)
    stop()
    await stream.close()
  })
  // Counted after listening began: what a page misses between its reading and now it can tell by the number.
  // A database that has just gone away counts nothing; the page is told when it is back.
  const count = await countEvents(pool, id).catch(() => 0)
  void stream.push({ event: 'hello', data: String(count) })
  return stream.send()
})
