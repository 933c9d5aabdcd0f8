import type { PracticeState } from '../../shared/practice'
import { ApiError } from '../utils/apiError'

/** Speaks to the simulated bench, if one runs beside this server. */
export async function benchRequest(path: '/state' | '/change', body?: unknown): Promise<PracticeState> {
  const url = process.env.BENCH_URL
  if (!url) throw new ApiError(503, 'bench-away', 'No simulated set runs beside this server. It comes with "npm run demo".')
  const response = await fetch(url + path, body === undefined ? {} : { method: 'POST', body: JSON.stringify(body), headers: { 'content-type': 'application/json' } })
    .catch(() => { throw new ApiError(503, 'bench-away', 'The simulated set does not answer.') })
  if (!response.ok) throw new ApiError(response.status === 400 ? 400 : 502, 'bench-away', ((await response.json()) as { message: string }).message)
  return await response.json() as PracticeState
}
