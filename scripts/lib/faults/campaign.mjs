import { spawnSync } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { setTimeout as sleep } from 'node:timers/promises'
import { startHouse } from '../house.mjs'
import { cutLine } from './cutLine.mjs'
import { differencesOf } from './differences.mjs'
import { faultKinds } from './kinds.mjs'
import { seeded, uuidOf } from './seeded.mjs'
import { technician } from './technician.mjs'

/** A process that dies oftener is given up by its keeper, on purpose: each kind has one turn in it. */
const ROUND_MS = 18_000

/**
 * Twenty technicians work while everything beside them fails, at moments and in an order that the seed
 * decides; then what the database holds is compared with what it had acknowledged.
 * @returns figures, and `wrong`: every difference in words
 */
export async function faultCampaign({ faults, seed, technicians = 20, nextMs = 100, say = () => {} }) {
  const folder = mkdtempSync(join(tmpdir(), 'diapason-faults-'))
  const random = seeded(seed)
  let given = null
  const onDeath = name => (given = name)
  const house = await startHouse({ folder, demo: false, throwAway: true, onDeath })
  const line = await cutLine(Number(new URL(house.address).port))
  try {
    const jobIds = await newJobs(house.address, technicians, random)
    let isOver = false
    const working = jobIds.map((jobId, i) =>
      technician({
        address: line.address,
        jobId,
        random: seeded(seed + i + 1),
        nextMs,
        isOver: () => isOver,
      }),
    )
    const counts = await failing(faultKinds(house, folder, line), faults, random, say)
    isOver = true
    const worked = await Promise.all(working)
    const wrong = [
      ...(given ? [`"${given}" was given up`] : []),
      ...(await differences(house.address, worked)),
    ]
    const check = spawnSync(process.execPath, ['scripts/check.mjs'], {
      env: { ...process.env, DATABASE_URL: house.env.DATABASE_URL },
      encoding: 'utf8',
    })
    if (check.status !== 0) wrong.push(check.stdout + check.stderr)
    return {
      faults: counts,
      acknowledged: worked.reduce((sum, w) => sum + w.done.length, 0),
      sentAgain: worked.reduce((sum, w) => sum + w.retries, 0),
      longestWaitMs: Math.max(...worked.map(w => w.longestMs)),
      wrong,
    }
  } finally {
    await line.close()
    await house.stop()
    rmSync(folder, { recursive: true, force: true })
  }
}

/** Every kind once in a round, in an order of its own, each at its own moment. */
async function failing(kinds, faults, random, say) {
  const names = Object.keys(kinds)
  const counts = Object.fromEntries(names.map(name => [name, 0]))
  for (let left = faults; left > 0;) {
    const started = Date.now()
    const order = names.map(name => [random(), name]).sort((a, b) => a[0] - b[0])
    for (const [, name] of order.slice(0, left)) {
      await sleep((ROUND_MS / names.length) * (0.2 + 0.6 * random()) - (name.endsWith('killed') ? 0 : 500))
      say(name)
      await kinds[name]()
      counts[name]++
      left--
    }
    await sleep(Math.max(0, left > 0 ? started + ROUND_MS - Date.now() : 0))
  }
  return counts
}

async function newJobs(address, count, random) {
  const ids = Array.from({ length: count }, () => uuidOf(random))
  for (const [i, id] of ids.entries()) {
    const { status } = await fetch(`${address}/api/jobs`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({
        id,
        owner: `Bench ${i + 1}`,
        contact: '',
        sheetId: 'osmund-27f',
        ruleSetId: 'R-UK27',
        serial: `F-${i + 1}`,
        complaint: 'faults',
        claims: [],
        accessories: '',
        mayDo: '',
        ownerLanguage: '',
        promisedOn: null,
      }),
    })
    if (status !== 201) throw new Error(`job ${i + 1} was not taken in: ${status}`)
  }
  return ids
}

async function differences(address, worked) {
  const wrong = []
  for (const { jobId, done, refused } of worked) {
    wrong.push(...refused.map(({ status, event }) => `${jobId}: ${event.id} was refused with ${status}`))
    const { events } = await stored(address, jobId)
    wrong.push(...differencesOf(done, events).map(words => `${jobId}: ${words}`))
  }
  return wrong
}

/** What failed last may still be coming back. */
async function stored(address, jobId) {
  for (;;) {
    const answer = await fetch(`${address}/api/jobs/${jobId}`, { signal: AbortSignal.timeout(20_000) }).catch(
      () => null,
    )
    if (answer?.ok) return answer.json()
    await sleep(200)
  }
}
