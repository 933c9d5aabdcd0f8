import { mkdirSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { launchBrowser } from './lib/browser.mjs'
import { startHouse } from './lib/house.mjs'
import { fromRoot } from './lib/paths.mjs'

/** One picture of each main view, from fresh demo data, into docs/screenshots. */
const OUT = process.env.SHOTS_DIR ?? fromRoot('docs', 'screenshots')
mkdirSync(OUT, { recursive: true })
const folder = mkdtempSync(join(tmpdir(), 'diapason-shots-'))
const house = await startHouse({ folder, demo: true, throwAway: true })
const browser = await launchBrowser()
const hands = change =>
  fetch(`${house.address}/api/practice`, {
    method: 'POST',
    body: JSON.stringify(change),
    headers: { 'content-type': 'application/json' },
  })
const ALIGNED = {
  CT1: 0.3861,
  CT2: 0.401,
  L1: 0,
  L2: 0,
  L3: 0,
  L4: 0,
  L5: 0,
  L6: -0.2,
  L7: 0.9,
  RV1: 0.285,
  RV2: 0.595,
  RV3: 0.5,
}
const turn = positions =>
  hands({ adjusters: Object.entries(positions).map(([designator, position]) => ({ designator, position })) })

async function open(path, { night = false, width = 1280, height = 800 } = {}) {
  const context = await browser.newContext({ viewport: { width, height } })
  if (night) await context.addCookies([{ name: 'theme', value: 'night', url: house.address }])
  const page = await context.newPage()
  await page.goto(house.address + path)
  await page.waitForSelector('.ro')
  await page.waitForTimeout(2000)
  return page
}
const request = async (path, body) =>
  (
    await fetch(house.address + path, {
      method: 'POST',
      body: JSON.stringify(body),
      headers: { 'content-type': 'application/json' },
    })
  ).json()
/** What a repair of a runaway carrier leaves in its list. */
async function mend(jobId) {
  const entry = event =>
    request(`/api/jobs/${jobId}/events`, {
      id: crypto.randomUUID(),
      atMs: Date.now(),
      text: '',
      ...event,
    })
  await entry({
    kind: 'part-tested',
    part: 'Q31, series regulator',
    partKind: 'transistor',
    boughtAt: '',
    dcResult: 'short',
    dcGain: null,
    rfPowerW: null,
    rfReferenceW: null,
    fallsWhileKeyed: null,
    heat: null,
  })
  await entry({ kind: 'part-changed', designator: 'Q31', partOut: 'short', partIn: 'new', isFinal: false })
  await entry({ kind: 'treated', what: 'insulator and paste renewed', where: 'Q31' })
  await entry({
    kind: 'question-asked',
    text: 'Keep the control at the back, with a stop at the legal limit?',
    price: '15',
    consequence: 'it is disconnected',
  })
}
/** A case worked by a trainee who sets the depth and forgets to release the key, then SINAD over level. */
async function practise() {
  const id = crypto.randomUUID()
  await request('/api/practice/sessions', {
    id,
    trainee: 'Runa',
    kitId: 'test-set',
    choice: 'prepared',
    designId: 'osmund-40a',
    lessonId: null,
    difficulty: 1,
    seed: 9,
  })
  await hands({ warmByS: 1200 })
  await hands({ keyed: true, toneOn: true })
  for (const position of [0.9, 0.8, 0.7, 0.62, 0.575]) {
    await new Promise(resolve => setTimeout(resolve, 2500))
    await turn({ RV5: position })
  }
  await new Promise(resolve => setTimeout(resolve, 6000))
  await hands({ keyed: false })
  await new Promise(resolve => setTimeout(resolve, 3000))
  await request(`/api/practice/sessions/${id}/finish`, { named: ['X08'] })
  const review = await open(`/practice/${id}`)
  await review.getByLabel('moment').fill('1208')
  await review.waitForTimeout(1500)
  await shot(review, 'review')
  const stepped = await open('/instruments/stepped')
  await stepped.getByRole('button', { name: 'Start' }).click()
  await stepped.getByText('16 of 16, finished').waitFor({ timeout: 60_000 })
  await stepped.waitForTimeout(800)
  await shot(stepped, 'stepped')
}
async function shot(page, name) {
  await page.screenshot({ path: join(OUT, `${name}.png`) })
  await page.context().close()
}
/** Takes and confirms steps of the run as the keys do, with the set in the state of each. */
async function take(page, state, times = 1) {
  await hands({ keyed: false, lowPower: false, toneOn: false, ...state })
  await page.waitForTimeout(900)
  for (let i = 0; i < times; i++) {
    await page.keyboard.press('Space')
    await page.waitForTimeout(350)
  }
}
async function confirm(page) {
  await page.keyboard.press('Enter')
  await page.waitForTimeout(350)
}
async function type(page, text) {
  await page.keyboard.press('t')
  await page.keyboard.type(text)
  await page.keyboard.press('Enter')
  await page.waitForTimeout(350)
}

try {
  const jobs = await (await fetch(`${house.address}/api/jobs`)).json()
  const id = number => jobs.find(j => j.job.number === number).job.id
  await hands({ warmByS: 1500 })
  await shot(await open('/'), 'bench')
  await shot(await open('/sets?words=slate'), 'sets')
  await shot(await open('/rules'), 'rules')
  await shot(await open(`/jobs/${id(231)}/as-found`), 'as-found')
  await shot(await open(`/jobs/${id(231)}/intake`), 'intake')
  await shot(await open(`/jobs/${id(228)}/inspection`), 'inspection')
  await shot(await open(`/jobs/${id(227)}/findings`, { height: 1300 }), 'findings')

  const run = await open(`/jobs/${id(231)}/align`)
  await take(run, {})
  await confirm(run)
  await turn({ CT1: ALIGNED.CT1 })
  await take(run, {})
  await confirm(run)
  for (const lockS of ['0.1', '0.2', '0.2', '0.3']) await type(run, lockS)
  await confirm(run)
  await hands({ keyed: true })
  for (const position of [0.41, 0.408, 0.405, 0.402, 0.399]) {
    await turn({ CT2: position })
    await run.waitForTimeout(1500)
  }
  await run.screenshot({ path: join(OUT, 'align.png') })
  await turn({ CT2: ALIGNED.CT2 })
  await take(run, { keyed: true })
  await confirm(run)
  for (const channel of [1, 20, 40]) await take(run, { keyed: true, channel })
  await confirm(run)
  await take(run, { keyed: true, channel: 20 })
  await turn(ALIGNED)
  await take(run, { keyed: true, channel: 20 }, 2)
  await confirm(run)
  for (const channel of [1, 20, 40]) await take(run, { keyed: true, channel })
  await confirm(run)
  await take(run, { keyed: true, channel: 20 })
  await confirm(run)
  await run.keyboard.press('[')
  await run.keyboard.press('p')
  await run.waitForTimeout(1200)
  await run.keyboard.press('p')
  await run.click('[data-step="A1.3"]')
  await hands({ keyed: false })
  await turn({ CT1: 0.3835 })
  await take(run, {})
  await run.click('[data-step="A1.5"]')
  await hands({ keyed: true })
  await run.waitForTimeout(5000)
  await run.context().close()
  await shot(await open(`/jobs/${id(231)}/align`, { night: true }), 'align-night')
  await shot(await open(`/jobs/${id(231)}/align`, { width: 390, height: 844 }), 'align-phone')
  await hands({ keyed: false })

  await shot(await open(`/jobs/${id(229)}/handover`), 'handover')
  const signals = await open('/signals')
  await signals.getByRole('button', { name: 'tone-as-found.sigmf' }).click()
  await signals.waitForSelector('.verdict')
  await signals.waitForTimeout(2500)
  await shot(signals, 'signals')
  await shot(await open('/sheets/osmund-27f'), 'sheet')
  const edit = await open('/sheets/osmund-27f/edit')
  await edit.getByRole('tab', { name: 'Procedure' }).click()
  await edit.waitForTimeout(1200)
  await shot(edit, 'sheet-edit')
  await shot(await open('/instruments'), 'instruments')
  await shot(await open('/practice'), 'practice')
  await mend(id(227))
  await shot(await open(`/jobs/${id(227)}/repair`), 'repair')
  await practise()
} finally {
  await browser.close()
  await house.stop()
  rmSync(folder, { recursive: true, force: true })
}
