import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium } from '@playwright/test'
import wavefile from 'wavefile'
import { CHROMIUM, CHROMIUM_ARGS } from '../../scripts/lib/browser.mjs'
import { writeSigmf } from '../../core/recording'
import { amSignal, withNoise } from '../fixtures/signals'
import { expect, test } from './bench'

const folder = mkdtempSync(join(tmpdir(), 'diapason-signals-'))

/** A recording of a set on channel 19, as two files. */
function recording(name: string, depth: number): string[] {
  const made = withNoise(amSignal({ depth, offsetHz: 5010, rateHz: 96_000, seconds: 1 }), 60)
  const { meta, data } = writeSigmf({
    i: Float32Array.from(made.i),
    q: Float32Array.from(made.q),
    sampleRateHz: 96_000,
    centreHz: 27_180_000,
    description: '',
    annotations: [],
  })
  const files = [join(folder, `${name}.sigmf-meta`), join(folder, `${name}.sigmf-data`)]
  writeFileSync(files[0]!, meta)
  writeFileSync(files[1]!, data)
  return files
}

test('a recording is dropped, judged, logged on a job, opened again with the same figures, and compared', async ({
  page,
  house,
}) => {
  const jobs = (await house.request('GET', '/api/jobs')).body as { job: { id: string; number: number } }[]
  const { id } = jobs.find(j => j.job.number === 228)!.job
  await page.goto(`${house.address}/signals?job=${id}`)
  const choose = async (files: string[]) => {
    const chooser = page.waitForEvent('filechooser')
    await page.getByRole('button', { name: 'Choose a recording' }).click()
    await (await chooser).setFiles(files)
  }
  await choose(recording('as-found', 1.3))
  const verdict = page.locator('.verdict').first()
  // Measured beside the screen, on whatever this machine has left.
  await expect(verdict).toBeVisible({ timeout: 60_000 })
  await expect(verdict).toContainText(/Over-modulated: carrier cut off 2\d\.\d % of the time/)
  await expect(page.locator('.what')).toContainText('channel 19')
  const readings = page.getByRole('table', { name: 'Readings' })
  await expect(readings.getByRole('row', { name: /AM negative peak/ })).toContainText('above')
  await expect(page.getByRole('img', { name: 'Envelope over two cycles' })).toBeVisible()
  const crest = await readings
    .getByRole('row', { name: /AM positive peak/ })
    .locator('b')
    .first()
    .textContent()

  const log = page.getByRole('region', { name: 'Add to job' })
  await expect(log.getByText(/W-0228/)).toBeVisible()
  await log.getByRole('button', { name: 'Save readings and recording' }).click()
  await expect(log.getByText(/^Added to .*with the recording\.$/)).toBeVisible({ timeout: 30_000 })
  const { events } = (await house.request('GET', `/api/jobs/${id}`)).body as {
    events: { kind: string; readings?: { quantity: string; value: number; instrument: string }[] }[]
  }
  const row = events.at(-1)!
  expect(row.kind).toBe('row-taken')
  expect(row.readings!.every(r => r.instrument === 'recording as-found.sigmf-meta')).toBe(true)

  await page.goto(`${house.address}/signals`)
  await page.getByRole('button', { name: 'as-found.sigmf', exact: true }).click()
  await expect(verdict).toContainText(/Over-modulated/, { timeout: 60_000 })
  await expect(
    readings
      .getByRole('row', { name: /AM positive peak/ })
      .locator('b')
      .first(),
  ).toHaveText(crest!)

  await choose(recording('as-left', 0.85))
  await expect(verdict).toContainText('All judged results are within the rule set', { timeout: 60_000 })
  await page.getByRole('group', { name: 'Open recordings' }).getByRole('button', { name: 'compare' }).click()
  await expect(
    page.getByRole('img', { name: 'Spectrum about the channel' }).getByText('as-left.sigmf-meta'),
  ).toBeVisible()
})

test('readings that have not reached the server are not said to be with the job', async ({ page, house }) => {
  const jobs = (await house.request('GET', '/api/jobs')).body as { job: { id: string; number: number } }[]
  const { id } = jobs.find(j => j.job.number === 228)!.job
  await page.goto(`${house.address}/signals?job=${id}`)
  const chooser = page.waitForEvent('filechooser')
  await page.getByRole('button', { name: 'Choose a recording' }).click()
  await (await chooser).setFiles(recording('alone', 0.5))
  const log = page.getByRole('region', { name: 'Add to job' })
  await page.route('**/api/jobs/*/events', route => route.abort())
  await log.getByRole('button', { name: 'Save readings and recording' }).click({ timeout: 60_000 })
  await expect(log.getByText(/are not with the job yet/)).toBeVisible({ timeout: 30_000 })
  await expect(log.getByText(/^Added to/)).toHaveCount(0)
  await page.unroute('**/api/jobs/*/events')
  const stored = async () => JSON.stringify((await house.request('GET', `/api/jobs/${id}`)).body)
  await expect.poll(stored, { timeout: 30_000 }).toContain('recording alone.sigmf-meta')
})

test(
  'depths are told against the carrier of another recording that ' +
    'is open, and the next recording does not inherit it',
  async ({ page, house }) => {
    await page.goto(`${house.address}/signals`)
    const choose = async (files: string[]) => {
      const chooser = page.waitForEvent('filechooser')
      await page.getByRole('button', { name: 'Choose a recording' }).click()
      await (await chooser).setFiles(files)
      await expect(page.locator('.what')).toContainText(files[0]!.split('/').at(-1)!, { timeout: 60_000 })
    }
    const level = page.getByLabel('Level, dBFS')
    await choose(recording('carrier-alone', 0))
    await choose(recording('modulated', 1.2))
    await expect(
      page.getByRole('table', { name: 'Readings' }).getByRole('row', { name: /AM positive peak/ }),
      'against the mean (C02)',
    ).toContainText('114.7')
    await page.getByRole('button', { name: /Use .* dBFS of carrier-alone/ }).click()
    await expect(
      page.getByRole('table', { name: 'Readings' }).getByRole('row', { name: /AM positive peak/ }),
      'against the carrier',
    ).toContainText('120')
    await expect(page.getByRole('row', { name: /Carrier shift/ })).toContainText('as given')
    await choose(recording('another', 0.5))
    await expect(level).toHaveValue('')
  },
)

test('a file that is no recording is refused in words, and what is open stays', async ({ page, house }) => {
  const bad = join(folder, 'bad.wav')
  writeFileSync(bad, 'RIFF, but not really')
  await page.goto(`${house.address}/signals`)
  const chooser = page.waitForEvent('filechooser')
  await page.getByRole('button', { name: 'Choose a recording' }).click()
  await (await chooser).setFiles(bad)
  await expect(page.getByText('bad.wav: header: is not that of a WAV file')).toBeVisible()
})

test('the sound card reads SINAD and the distance from the wanted tone', async ({ house }) => {
  const file = join(folder, 'tone.wav')
  const wav = new wavefile.WaveFile()
  // 1003 Hz with a second harmonic of 10 %: SINAD of 20 dB, whole cycles so that it repeats without a step.
  wav.fromScratch(
    1,
    48_000,
    '16',
    Array.from({ length: 48_000 * 4 }, (_, n) =>
      Math.round(
        9000 *
          (Math.sin((2 * Math.PI * 1003 * n) / 48_000) + 0.1 * Math.sin((4 * Math.PI * 1003 * n) / 48_000)),
      ),
    ),
  )
  writeFileSync(file, wav.toBuffer())
  const browser = await chromium.launch({
    executablePath: CHROMIUM,
    args: [
      ...CHROMIUM_ARGS,
      '--use-fake-device-for-media-stream',
      '--use-fake-ui-for-media-stream',
      `--use-file-for-fake-audio-capture=${file}`,
    ],
  })
  try {
    const page = await browser.newPage()
    await page.goto(`${house.address}/signals/live`)
    await page.getByRole('button', { name: 'Start' }).click()
    await expect(page.locator('[data-sinad]')).toHaveText(/^(19|20)\.\d$/, { timeout: 60_000 })
    // A busy machine drops blocks of sound: the next two seconds are whole again.
    await expect(page.locator('[data-beat]')).toHaveText(/^\+3\.[0-2]$|^\+2\.9$/, { timeout: 60_000 })
    await expect(page.getByText('too high: lower')).toBeVisible()
  } finally {
    await browser.close()
  }
})
