import { execFileSync } from 'node:child_process'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, describe, expect, it } from 'vitest'
import { DEFAULT_OPTIONS, measureRecording, type Measurement } from '../../core/signal'
import { SEVERAL_TONES } from '../truth/families/severalTones'
import { VOICES } from '../truth/families/voices'

/** Recordings of known truth, demodulated by SciPy as well: both must tell the same of the same samples. */
const folder = mkdtempSync(join(tmpdir(), 'diapason-waveforms-'))
afterAll(() => rmSync(folder, { recursive: true, force: true }))

const kindOf = (as: string | undefined) => (as === 'am' || as === 'fm' ? as : null)
const waveforms = [...VOICES, ...SEVERAL_TONES].filter(c => kindOf(c.options?.as) !== null)
/** Every second or third, so that every way of making one is among them. */
const chosen = Array.from({ length: 20 }, (_, k) => waveforms[Math.floor((k * waveforms.length) / 20)]!)
/** How far audio is looked at (definitions of the product, docs/formats). */
const AUDIO_HZ = { am: 10_000, fm: 5000 } as const

const asked = await Promise.all(
  chosen.map(async (c, k) => {
    const recording = c.make()
    const { i, q } = await recording.read(0, recording.sampleCount)
    const pairs = new Float32Array(2 * i.length)
    for (let n = 0; n < i.length; n++) pairs.set([i[n]!, q[n]!], 2 * n)
    const kind = kindOf(c.options?.as)!
    const file = join(folder, `${k}.cf32`)
    writeFileSync(file, pairs)
    const { measurement } = await measureRecording(recording, { ...DEFAULT_OPTIONS, ...c.options })
    return { name: c.name, file, kind, rateHz: recording.sampleRateHz, audioHz: AUDIO_HZ[kind], measurement }
  }),
)
type Figures = Readonly<Record<string, number>>
const input = JSON.stringify(
  asked.map(({ file, kind, rateHz, audioHz }) => ({ file, kind, rateHz, audioHz })),
)
const scipy = JSON.parse(
  execFileSync('/usr/bin/python3', [join(import.meta.dirname, 'waveforms.py')], {
    input,
    encoding: 'utf8',
    timeout: 120_000,
  }),
) as Figures[]

/**
 * What SciPy sees carries the noise of the recording, ours is freed of it on average: at 40 dB and more that
 * is under a point.
 */
const NOISE = { ratio: 0.012, hz: 25, db: 0.12 }
/** Three standard uncertainties as stated. */
const COVERED = 3

function agrees(
  figure: string,
  ours: number | null | undefined,
  u: number | null | undefined,
  theirs: number,
  slack: number,
): string[] {
  if (typeof ours !== 'number') return [`${figure}: none, SciPy ${theirs}`]
  return Math.abs(ours - theirs) <= slack + COVERED * (u ?? 0)
    ? []
    : [`${figure}: ${ours} +- ${u}, SciPy ${theirs}`]
}

function ofAm({ am, uncertainty: { am: u }, carrier }: Measurement, f: Figures): string[] {
  const peaks = am?.peaks
    ? [
        ...agrees('crest999', am.peaks.crest999, u?.peaks?.crest999, f.crest999!, NOISE.ratio),
        ...agrees('crest99', am.peaks.crest99, u?.peaks?.crest99, f.crest99!, NOISE.ratio),
        ...agrees('trough99', am.peaks.trough99, u?.peaks?.trough99, f.trough99!, NOISE.ratio),
      ]
    : []
  return [
    ...agrees('offset', carrier?.offsetHz, carrier?.uncertaintyHz, f.offsetHz!, 0.05),
    ...agrees('crest', am?.depthPositive, u?.depthPositive, f.crest!, NOISE.ratio),
    ...agrees('trough', am && Math.min(1, am.depthNegative), u?.depthNegative, f.trough!, NOISE.ratio),
    ...agrees('PEP', am?.pepDbfs, u?.pepDbfs, f.pepDbfs!, NOISE.db),
    ...agrees('mean power', am?.meanPowerDbfs, u?.meanPowerDbfs, f.meanPowerDbfs!, 0.02),
    ...peaks,
  ]
}

function ofFm({ fm, uncertainty: { fm: u }, carrier }: Measurement, f: Figures): string[] {
  const peaks = fm?.peaks
    ? [
        ...agrees('up999', fm.peaks.positive999Hz, u?.peaks?.positive999Hz, f.up999!, NOISE.hz),
        ...agrees('up99', fm.peaks.positive99Hz, u?.peaks?.positive99Hz, f.up99!, NOISE.hz),
        ...agrees('down99', fm.peaks.negative99Hz, u?.peaks?.negative99Hz, f.down99!, NOISE.hz),
      ]
    : []
  return [
    ...agrees('offset', carrier?.offsetHz, carrier?.uncertaintyHz, f.offsetHz!, 2),
    ...agrees('up', fm?.deviationPositiveHz, u?.deviationPositiveHz, f.up!, NOISE.hz),
    ...agrees('down', fm?.deviationNegativeHz, u?.deviationNegativeHz, f.down!, NOISE.hz),
    ...peaks,
  ]
}

describe('waveforms against SciPy', () => {
  it('are twenty, of AM and of FM', () => {
    expect(new Set(asked.map(a => a.name)).size).toBe(20)
    expect(new Set(asked.map(a => a.kind))).toEqual(new Set(['am', 'fm']))
  })
  it.each(asked.map((a, k) => [a.name, a, scipy[k]!] as const))('%s', (_name, { kind, measurement }, f) => {
    expect(kind === 'am' ? ofAm(measurement, f) : ofFm(measurement, f)).toEqual([])
  })
})
