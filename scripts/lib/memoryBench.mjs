import { readFileSync } from 'node:fs'
import { setTimeout as sleep } from 'node:timers/promises'
import { benchRow } from './benchRow.mjs'

/** Memory that a process takes at first (caches, compiled code) is not what it takes for good. */
const SETTLING_SHARE = 0.3
const SAMPLE_S = 10
const PAGES = ['', '/sets', '/sheets', '/rules', '/instruments', '/practice']

/**
 * Pages are loaded and readings entered for some minutes; what each process holds, and how fast that grows.
 * @returns by process: memory at the end [MB] and its slope [MB/min]
 */
export async function memoryBench({ address, children, jobId, browser }, minutes) {
  if (minutes <= 0) return 'left out: BENCH_MEMORY_MINUTES=0'
  const samples = new Map(children.map(c => [c.name, []]))
  const started = Date.now()
  const end = started + minutes * 60_000
  const counts = { pages: 0, readings: 0 }
  const load = async () => {
    for (let i = 0; Date.now() < end; i++) {
      const page = await browser.newPage()
      const path = i % 3 === 0 ? `/jobs/${jobId}/align` : PAGES[i % PAGES.length]
      await page.goto(address + path)
      await page.waitForTimeout(300)
      await page.close()
      counts.pages++
    }
  }
  const enter = async () => {
    for (let i = 0; Date.now() < end; i++) {
      const body = JSON.stringify(benchRow(i))
      const headers = { 'content-type': 'application/json' }
      const answer = await fetch(`${address}/api/jobs/${jobId}/events`, { method: 'POST', body, headers })
      await answer.arrayBuffer()
      if (answer.status === 201) counts.readings++
      await sleep(200)
    }
  }
  const watch = async () => {
    while (Date.now() < end) {
      const atMin = (Date.now() - started) / 60_000
      for (const { name, pid } of children) samples.get(name).push({ atMin, mb: residentMb(pid) })
      await sleep(SAMPLE_S * 1000)
    }
  }
  await Promise.all([load(), enter(), watch()])
  const processes = Object.fromEntries(
    [...samples].map(([name, all]) => {
      const settled = all.filter(s => s.atMin >= minutes * SETTLING_SHARE)
      const slope = slopeOf(settled)
      return [name, { endMb: Math.round(settled.at(-1).mb), mbPerMin: Number(slope.toFixed(2)) }]
    }),
  )
  return { minutes, ...counts, processes, aim: 'slope under 1 MB/min' }
}

/** Resident set by the kernel: proc(5), in kilobytes. */
function residentMb(pid) {
  const line = readFileSync(`/proc/${pid}/status`, 'utf8')
    .split('\n')
    .find(l => l.startsWith('VmRSS'))
  return Number(/\d+/.exec(line)[0]) / 1024
}

/** Least squares. */
function slopeOf(samples) {
  const mean = of => samples.reduce((sum, s) => sum + of(s), 0) / samples.length
  const [x, y] = [mean(s => s.atMin), mean(s => s.mb)]
  const over = samples.reduce((sum, s) => sum + (s.atMin - x) * (s.mb - y), 0)
  return over / samples.reduce((sum, s) => sum + (s.atMin - x) ** 2, 0)
}
