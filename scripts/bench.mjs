import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { performance } from 'node:perf_hooks'
import { gzipSync } from 'node:zlib'
import { benchRow } from './lib/benchRow.mjs'
import { ensureBuilt } from './lib/build.mjs'
import { launchBrowser } from './lib/browser.mjs'
import { startHouse } from './lib/house.mjs'
import { memoryBench } from './lib/memoryBench.mjs'
import { peopleBench } from './lib/peopleBench.mjs'
import { rigBench } from './lib/rigBench.mjs'
import { runBench } from './lib/runBench.mjs'
import { signalBench } from './lib/signalBench.mjs'
import { scaleBench } from './lib/scaleBench.mjs'
import { ensureNodeModules } from './lib/packages.mjs'

/** Measures, and prints one JSON object. Not a test: nothing here passes or fails. */
const WATCH_S = Number(process.env.BENCH_SECONDS ?? 60)
const POSTS = 500

const round = (value, digits = 1) => Number(value.toFixed(digits))
function percentile(values, share) {
  const sorted = [...values].sort((a, b) => a - b)
  return sorted.length ? sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] : null
}
const spread = values => ({
  p50Ms: round(percentile(values, 0.5)),
  p95Ms: round(percentile(values, 0.95)),
  maxMs: round(Math.max(...values)),
  samples: values.length,
})

/**
 * From the last byte of the SCPI answer (stamped by the gateway, same clock) to the frame after the text
 * changed.
 */
async function latency(page, address, jobId) {
  await page.goto(`${address}/jobs/${jobId}/align`)
  await page.waitForSelector('[data-received-at]')
  return page.evaluate(
    seconds =>
      new Promise(resolve => {
        const delays = []
        const seen = new Map()
        const channel = new MessageChannel()
        let waiting = []
        channel.port1.onmessage = () => {
          const now = performance.timeOrigin + performance.now()
          for (const receivedAt of waiting) delays.push(now - receivedAt)
          waiting = []
        }
        const observer = new MutationObserver(() => {
          const fresh = []
          for (const cell of document.querySelectorAll('.rail [data-received-at]')) {
            const at = Number(cell.dataset.receivedAt)
            if (seen.get(cell.dataset.quantity) !== at) fresh.push(at)
            seen.set(cell.dataset.quantity, at)
          }
          if (fresh.length === 0) return
          // A frame callback runs before the paint, a message after it: the paint lies between the two.
          requestAnimationFrame(() => {
            waiting.push(...fresh)
            channel.port2.postMessage(null)
          })
        })
        observer.observe(document.querySelector('.rail'), {
          subtree: true,
          attributes: true,
          characterData: true,
          childList: true,
        })
        setTimeout(() => {
          observer.disconnect()
          resolve(delays)
        }, seconds * 1000)
      }),
    WATCH_S,
  )
}

async function postReadings(address, jobId) {
  const took = []
  for (let i = 0; i < POSTS; i++) {
    const started = performance.now()
    const response = await fetch(`${address}/api/jobs/${jobId}/events`, {
      method: 'POST',
      body: JSON.stringify(benchRow(i)),
      headers: { 'content-type': 'application/json' },
    })
    await response.arrayBuffer()
    if (response.status !== 201) throw new Error(`a reading was refused: ${response.status}`)
    if (i >= 20) took.push(performance.now() - started)
  }
  return spread(took)
}

/** Script bytes of a page as a server with gzip would send them, Plotly apart. */
async function scripts(browser, url) {
  const page = await browser.newPage()
  const sizes = { ownKb: 0, plotlyKb: 0 }
  const bodies = []
  // What is fetched ahead while the page closes is no part of its first load.
  const seen = new Set()
  page.on(
    'response',
    response =>
      response.url().endsWith('.js') &&
      !seen.has(response.url()) &&
      seen.add(response.url()) &&
      bodies.push(
        response.body().then(
          body => {
            sizes[body.includes('plotly') && body.length > 500_000 ? 'plotlyKb' : 'ownKb'] +=
              gzipSync(body, { level: 9 }).length / 1000
          },
          () => undefined,
        ),
      ),
  )
  await page.goto(url)
  await page.waitForTimeout(2500)
  await Promise.all(bodies)
  await page.close()
  return { ownKb: round(sizes.ownKb), plotlyKb: round(sizes.plotlyKb) }
}

async function timedStart(folder) {
  const started = performance.now()
  const house = await startHouse({ folder, demo: true })
  return { house, seconds: round((performance.now() - started) / 1000, 2) }
}

const processesOf = house => house.children.list.map(({ name, child }) => ({ name, pid: child.pid }))

await ensureNodeModules()
await ensureBuilt()
const folder = mkdtempSync(join(tmpdir(), 'diapason-bench-'))
const cold = await timedStart(folder)
await cold.house.stop()
const warm = await timedStart(folder)
const browser = await launchBrowser()
try {
  const { address } = warm.house
  const jobs = await (await fetch(`${address}/api/jobs`)).json()
  const jobId = jobs.find(j => j.job.number === 230).job.id
  const finishedId = jobs.find(j => j.job.number === 229).job.id
  await fetch(`${address}/api/practice`, {
    method: 'POST',
    body: JSON.stringify({ keyed: true, toneOn: true }),
    headers: { 'content-type': 'application/json' },
  })
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  const delays = await latency(page, address, jobId)
  await page.close()
  console.log(
    JSON.stringify(
      {
        latencyScpiToPaint: {
          ...spread(delays),
          instruments: 4,
          pollsPerSecond: 10,
          watchedS: WATCH_S,
          aim: 'p95 under 100 ms',
        },
        postReading: { ...(await postReadings(address, jobId)), aim: 'p95 under 30 ms' },
        people: await peopleBench(WATCH_S, spread, percentile),
        firstLoadJsGzip: {
          bench: await scripts(browser, address),
          align: await scripts(browser, `${address}/jobs/${jobId}/align`),
          handover: await scripts(browser, `${address}/jobs/${finishedId}/handover`),
          aim: 'under 300 kB without Plotly',
        },
        run: await runBench(address, browser, spread),
        practice: await rigBench(warm.house.env.BENCH_URL, WATCH_S, spread, percentile),
        signal: await signalBench(),
        memory: await memoryBench(
          { address, children: processesOf(warm.house), jobId, browser },
          Number(process.env.BENCH_MEMORY_MINUTES ?? 0),
        ),
        scale: await scaleBench(Number(process.env.BENCH_JOBS ?? 100_000), browser, spread),
        start: {
          coldS: cold.seconds,
          warmS: warm.seconds,
          note: 'packages installed and built; cold: new database cluster and demo data',
          aim: 'warm under 5 s',
        },
      },
      null,
      2,
    ),
  )
} finally {
  await browser.close()
  await warm.house.stop()
  rmSync(folder, { recursive: true, force: true })
}
