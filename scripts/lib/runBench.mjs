import { randomUUID } from 'node:crypto'
import { performance } from 'node:perf_hooks'

const EVENTS = 2000
const OPENINGS = 12
const FRAMES_S = 10
const at = i => 1_795_000_000_000 + i * 1000
const POINTS = [
  ['A1.7', 'ch1'],
  ['A1.7', 'ch20'],
  ['A1.7', 'ch40'],
  ['A1.9', 'ch1'],
  ['A1.9', 'ch20'],
  ['A1.9', 'ch40'],
  ['A1.10', 'ch20'],
]

/** Rows, turns and seconds keyed as an evening of aligning makes them. */
function eventOf(i) {
  const base = { id: randomUUID(), atMs: at(i) }
  if (i % 5 === 0)
    return { ...base, kind: 'adjuster-turned', designators: ['L5'], stepId: 'A1.9', startPosition: '' }
  if (i % 5 === 1) return { ...base, kind: 'keyed', stepId: 'A1.9', lengthS: 4 }
  const [stepId, pointId] = POINTS[i % POINTS.length]
  const channel = Number(pointId.slice(2))
  const reading = {
    id: randomUUID(),
    quantity: 'powerW',
    value: 3 + (i % 90) / 100,
    standardUncertainty: 0.05,
    source: 'instrument',
    instrument: 'Meter',
  }
  const conditions = {
    mode: 'FM',
    channel,
    lowPower: false,
    toneHz: null,
    toneV: null,
    inputV: null,
    coverage: 'standard',
    setting: '',
    supplyV: 13.8,
    load: 'dummy',
    onTimeS: 1500,
  }
  return { ...base, kind: 'row-taken', phase: 'adjusting', stepId, pointId, conditions, readings: [reading] }
}

async function longRun(address) {
  const id = randomUUID()
  const send = (path, body) =>
    fetch(address + path, {
      method: 'POST',
      body: JSON.stringify(body),
      headers: { 'content-type': 'application/json' },
    })
  await send('/api/jobs', {
    id,
    owner: 'Bench',
    contact: '',
    sheetId: 'osmund-27f',
    ruleSetId: 'R-UK27',
    serial: 'BENCH-2000',
    complaint: 'long run',
    claims: [],
    accessories: '',
    boxNote: '',
    mayDo: '',
    promisedOn: null,
  })
  for (let i = 0; i < EVENTS; i++) {
    const response = await send(`/api/jobs/${id}/events`, eventOf(i))
    if (response.status !== 201)
      throw new Error(`an event was refused: ${response.status} ${await response.text()}`)
  }
  return id
}

/**
 * From the press on a link to the frame in which the step stands there, the application being open already.
 */
async function opening(page, address, id, words) {
  const took = []
  for (let i = 0; i < OPENINGS; i++) {
    await page.goto(`${address}/sets?words=${words}`)
    await page.waitForFunction(() => document.documentElement.dataset.ready === 'true')
    await page.waitForTimeout(600)
    took.push(
      await page.evaluate(async path => {
        const started = performance.now()
        await window.useNuxtApp().$router.push(path)
        while (!document.querySelector('.align h1'))
          await new Promise(resolve => requestAnimationFrame(resolve))
        await new Promise(resolve => requestAnimationFrame(() => setTimeout(resolve)))
        return performance.now() - started
      }, `/jobs/${id}/align`),
    )
  }
  return took.slice(2)
}

/** Frames painted while readings come ten times a second and the tone follows them. */
async function frames(page, address, id) {
  await page.goto(`${address}/jobs/${id}/align`)
  await page.waitForSelector('[data-received-at]')
  await page.keyboard.press('l')
  await page.waitForTimeout(1500)
  return page.evaluate(
    seconds =>
      new Promise(resolve => {
        const at = []
        const step = now => {
          at.push(now)
          if (now - at[0] < seconds * 1000) return requestAnimationFrame(step)
          const gaps = at
            .slice(1)
            .map((t, i) => t - at[i])
            .sort((a, b) => a - b)
          resolve({
            framesPerSecond: (at.length - 1) / ((at.at(-1) - at[0]) / 1000),
            p99GapMs: gaps[Math.floor(gaps.length * 0.99)],
            longestGapMs: gaps.at(-1),
          })
        }
        requestAnimationFrame(step)
      }),
    FRAMES_S,
  )
}

/** A long run opened, and the live view with the reading made audible. */
export async function runBench(address, browser, spread) {
  const few = (await (await fetch(`${address}/api/jobs`)).json()).find(j => j.job.number === 231).job.id
  const id = await longRun(address)
  const asked = []
  for (let i = 0; i < OPENINGS; i++) {
    const started = performance.now()
    await (await fetch(`${address}/api/jobs/${id}`)).json()
    asked.push(performance.now() - started)
  }
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  const opened = await opening(page, address, id, 'BENCH-2000')
  const small = await opening(page, address, few, 'W-0231')
  const painted = await frames(page, address, id)
  await page.close()
  const whole = Object.fromEntries(Object.entries(painted).map(([k, v]) => [k, Number(v.toFixed(1))]))
  return {
    openRunOf2000Events: { ...spread(opened), aim: 'under 200 ms' },
    openRunOf50Events: spread(small),
    answerOf2000Events: spread(asked.slice(2)),
    liveViewWithListen: { ...whole, aim: 'at least 30 frames a second' },
  }
}
