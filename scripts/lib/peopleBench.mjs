import { randomUUID } from 'node:crypto'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { performance } from 'node:perf_hooks'
import { setTimeout as sleep } from 'node:timers/promises'
import { benchRow } from './benchRow.mjs'
import { startHouse } from './house.mjs'

const POSTS = 500
const TECHNICIANS = 20
/** Rows of each technician in a second: ten readings, four in a row; and four times as many. */
const EACH_PER_S = 2.5
const STRAINED_PER_S = 10
const OWNER = { name: 'Bench', password: 'measured, not guessed' }
const INTAKE = {
  owner: 'Bench',
  contact: '',
  sheetId: 'osmund-27f',
  ruleSetId: 'R-UK27',
  serial: '1',
  complaint: 'bench',
  claims: [],
  accessories: '',
  mayDo: '',
  ownerLanguage: '',
  promisedOn: null,
}

/** What sign-in adds to a reading, and twenty technicians who enter all at once. */
export async function peopleBench(seconds, spread, percentile) {
  const folder = mkdtempSync(join(tmpdir(), 'diapason-people-'))
  const house = await startHouse({ folder, demo: false, throwAway: true })
  const { send, newJob, take } = clientOf(house.address)
  const rows = async id => {
    const took = []
    for (let i = 0; i < POSTS; i++) took.push(await timed(() => send(`/api/jobs/${id}/events`, benchRow(i))))
    return spread(took.slice(20))
  }
  try {
    await send('/api/workshop', { workshop: 'Bench', owner: null })
    const withoutSignIn = await rows(await newJob())
    const set = await send('/api/workshop', { workshop: 'Bench', owner: OWNER })
    take(set.headers.getSetCookie())
    const signedIn = await rows(await newJob())
    const jobs = await Promise.all(Array.from({ length: TECHNICIANS }, newJob))
    const enter = (id, i) => send(`/api/jobs/${id}/events`, benchRow(i))
    const shown = ({ took, how }) => ({
      ...spread(took),
      p99Ms: Number(percentile(took, 0.99).toFixed(1)),
      ...how,
    })
    const load = await loaded(jobs, seconds, EACH_PER_S, enter)
    const strain = await loaded(await Promise.all(jobs.map(newJob)), seconds / 4, STRAINED_PER_S, enter)
    return {
      withoutSignIn,
      signedIn,
      signInAddsP95Ms: Number((signedIn.p95Ms - withoutSignIn.p95Ms).toFixed(1)),
      load: shown(load),
      strain: shown(strain),
      aim: 'sign-in under 3 ms at p95; twenty technicians p95 under 60 ms, no error',
    }
  } finally {
    await house.stop()
    rmSync(folder, { recursive: true, force: true })
  }
}

/** Somebody who keeps the cookies that he is given. */
function clientOf(address) {
  let cookie = ''
  const send = async (path, body) => {
    const response = await fetch(address + path, {
      method: 'POST',
      body: JSON.stringify(body),
      headers: { 'content-type': 'application/json', cookie },
    })
    await response.arrayBuffer()
    return response
  }
  const newJob = async () => {
    const id = randomUUID()
    const { status } = await send('/api/jobs', { ...INTAKE, id })
    if (status !== 201) throw new Error(`a job was refused: ${status}`)
    return id
  }
  const take = cookies => (cookie = cookies.map(c => c.split(';')[0]).join('; '))
  return { send, newJob, take }
}

async function timed(work) {
  const started = performance.now()
  const { status } = await work()
  if (status !== 201) throw new Error(`a reading was refused: ${status}`)
  return performance.now() - started
}

/** Each technician enters at his own beat; one that is late does not wait for the next. */
async function loaded(jobs, seconds, perSecond, enter) {
  const took = []
  let errors = 0
  const end = performance.now() + seconds * 1000
  await Promise.all(
    jobs.map(async (id, n) => {
      await sleep((1000 / perSecond / jobs.length) * n)
      for (let i = 0, due = performance.now(); due < end; i++, due += 1000 / perSecond) {
        await sleep(Math.max(0, due - performance.now()))
        await timed(() => enter(id, i)).then(
          ms => took.push(ms),
          () => errors++,
        )
      }
    }),
  )
  return { took, how: { technicians: jobs.length, rowsPerSecond: took.length / seconds, errors } }
}
