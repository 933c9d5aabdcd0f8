import { setTimeout as sleep } from 'node:timers/promises'
import { uuidOf } from './seeded.mjs'

const ANSWER_WITHIN_MS = 5000
const RETRY_MS = [50, 100, 200, 400]
/** The browser is killed after so many of the entries that it sent, before it has read the answer. */
const FORGETS = 0.1

/**
 * One technician at a bench: an entry after the other, each sent with the same id until the server says that
 * it has it, as the outbox of a browser does.
 * @returns what was acknowledged, in order, and how it went
 */
export async function technician({ address, jobId, random, nextMs, isOver }) {
  const done = []
  const log = { retries: 0, refused: [], longestMs: 0 }
  for (let n = 0; !isOver(); n++) {
    const event = eventOf(n, random)
    const started = Date.now()
    const sends = random() < FORGETS ? 2 : 1
    for (let sent = 0; sent < sends; sent++) {
      const status = await untilKnown(`${address}/api/jobs/${jobId}/events`, event, log)
      if (status >= 400) log.refused.push({ status, event })
    }
    log.longestMs = Math.max(log.longestMs, Date.now() - started)
    done.push(event)
    await sleep(nextMs * (0.5 + random()))
  }
  return { jobId, done, ...log }
}

/** @returns the status that settles it: stored, known already, or refused for good */
async function untilKnown(url, event, log) {
  for (let tries = 0; ; tries++) {
    const status = await fetch(url, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(event),
      signal: AbortSignal.timeout(ANSWER_WITHIN_MS),
    }).then(
      async answer => {
        await answer.arrayBuffer()
        return answer.status
      },
      () => 0,
    )
    // No answer, or "cannot now": sent again. Anything else is settled.
    if (status !== 0 && status < 500) return status
    log.retries++
    await sleep(RETRY_MS[Math.min(tries, RETRY_MS.length - 1)])
  }
}

const AT_MS = 1_795_000_000_000

/** What an evening of aligning enters: rows, turns, notes. */
function eventOf(n, random) {
  const base = { id: uuidOf(random), atMs: AT_MS + n * 1000 }
  if (n % 5 === 0) return { ...base, kind: 'note', stepId: null, text: `entry ${n}` }
  if (n % 5 === 1)
    return { ...base, kind: 'adjuster-turned', designators: ['L5'], stepId: 'A1.9', startPosition: '' }
  const conditions = {
    mode: 'FM',
    channel: 20,
    lowPower: false,
    toneHz: null,
    toneV: null,
    inputV: null,
    coverage: 'standard',
    setting: '',
    supplyV: 13.8,
    load: '50 ohm',
    onTimeS: 60 + n,
  }
  const reading = {
    id: uuidOf(random),
    quantity: 'powerW',
    value: Number((3 + random()).toFixed(3)),
    standardUncertainty: 0.05,
    source: 'instrument',
    instrument: 'Power meter',
  }
  return {
    ...base,
    kind: 'row-taken',
    phase: 'adjusting',
    stepId: 'A1.9',
    pointId: 'ch20',
    conditions,
    readings: [reading],
  }
}
