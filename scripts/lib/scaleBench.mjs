import { execFile } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { performance } from 'node:perf_hooks'
import { promisify } from 'node:util'
import { startHouse } from './house.mjs'
import { OUTPUT } from './paths.mjs'

const exec = promisify(execFile)
const round = value => Number(value.toFixed(1))

/**
 * A workshop of many years: jobs and readings by a seeded generator, then what the database and the pages
 * take.
 * @param jobs number of jobs; 0 = leave this out
 */
export async function scaleBench(jobs, browser, spread) {
  if (jobs === 0) return 'left out: BENCH_JOBS=0'
  const folder = mkdtempSync(join(tmpdir(), 'diapason-scale-'))
  const house = await startHouse({ folder, demo: false, throwAway: true })
  try {
    const task = (...args) =>
      exec(process.execPath, [join(OUTPUT, 'processes', 'scale.mjs'), ...args], {
        env: { ...process.env, ...house.env, DATABASE_URL: house.cluster.adminUrl },
        maxBuffer: 1e8,
      })
    const started = performance.now()
    await task('seed', String(jobs))
    const seedS = round((performance.now() - started) / 1000)
    const measured = JSON.parse((await task('measure')).stdout)
    return {
      jobs,
      seedS,
      ...measured,
      requests: await requests(house.address, spread),
      pages: await pages(house.address, browser, spread),
      aim: 'queries p95 under 50 ms, no large table read whole, pages under 300 ms',
    }
  } finally {
    await house.stop()
    rmSync(folder, { recursive: true, force: true })
  }
}

async function requests(address, spread) {
  const paths = {
    search: '/api/search?words=heron+burnt',
    jobs: '/api/jobs',
    modelHistory: '/api/models/larkfield-lx8/history',
    earlier: '/api/jobs/earlier?sheetId=osmund-27f&serial=10007',
  }
  const out = {}
  for (const [name, path] of Object.entries(paths)) {
    const took = []
    for (let i = 0; i < 30; i++) {
      const started = performance.now()
      await (await fetch(address + path)).arrayBuffer()
      if (i >= 3) took.push(performance.now() - started)
    }
    out[name] = spread(took)
  }
  return out
}

/**
 * From the press or the last letter to the frame that shows the answer, in a browser that has the
 * application.
 */
async function pages(address, browser, spread) {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.goto(`${address}/sets`)
  await page.waitForSelector('.found')
  const typing = []
  for (const words of ['burnt', 'glue', 'teal 31', 'w-0050', 'heron easter', 'loose', 'waxed', 'regulator']) {
    const started = performance.now()
    await page.fill('input[type=search]', words)
    await page.waitForFunction(
      w => new URLSearchParams(location.search).get('words') === w && document.querySelector('.found'),
      words,
    )
    typing.push(performance.now() - started)
  }
  const bench = []
  for (let i = 0; i < 8; i++) {
    await page.click('nav a[href="/sets"]')
    await page.waitForSelector('.found')
    const started = performance.now()
    await page.click('nav a[href="/"]')
    await page.waitForSelector('.job-row')
    bench.push(performance.now() - started)
  }
  await page.close()
  return {
    typingToFound: { ...spread(typing), note: 'with the pause of 80 ms after the last letter' },
    toTheBench: spread(bench),
  }
}
