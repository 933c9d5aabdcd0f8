import { errorWords } from '../../shared/words/messageWords'
import fc from 'fast-check'
import { zipSync } from 'fflate'
import { sha512 } from '@noble/hashes/sha2'
import { bytesToHex } from '@noble/hashes/utils'
import wavefile from 'wavefile'
import { describe, expect, it } from 'vitest'
import { amSignal } from '../../test/fixtures/signals'
import { CoreError } from '../errors'
import { DEFAULT_OPTIONS, measureRecording } from '../signal'
import {
  bytesSource,
  openRecording,
  packTar,
  previewScopeCsv,
  writeSigmf,
  writeWav,
  type ByteSource,
} from '.'

const text = (s: string) => new TextEncoder().encode(s)
const made = amSignal({ depth: 0.8, rateHz: 24_000, seconds: 0.25 })
const written = writeSigmf({
  i: Float32Array.from(made.i),
  q: Float32Array.from(made.q),
  sampleRateHz: 24_000,
  centreHz: 27_180_000,
  description: 'x',
  annotations: [{ startSample: 10, sampleCount: 20, label: 'carrier', lowHz: 1, highHz: 2 }],
})
const meta = (
  change: Record<string, unknown> = {},
  captures: unknown = [{ 'core:sample_start': 0, 'core:frequency': 27_180_000 }],
  annotations: unknown = [],
) =>
  JSON.stringify({
    global: { 'core:datatype': 'cf32_le', 'core:sample_rate': 24_000, 'core:version': '1.2.0', ...change },
    captures,
    annotations,
  })
const none = async () => null
const pair = (m: string | Uint8Array, data: Uint8Array) =>
  openRecording(bytesSource('a.sigmf-meta', typeof m === 'string' ? text(m) : m), async () =>
    bytesSource('a.sigmf-data', data),
  )
const refusal = async (opened: Promise<unknown>) =>
  opened.then(
    () => 'was taken',
    (e: unknown) => (e instanceof CoreError ? `${e.code}: ${errorWords(e)}` : String(e)),
  )

/** Samples as one of the types of SigMF, written here without the reader. */
function encode(datatype: string): Uint8Array {
  const big = datatype.endsWith('_be')
  const [, kind, bits] = /^c([fiu])(\d+)/.exec(datatype)!
  const bytes = Number(bits) / 8
  const out = new Uint8Array(made.i.length * 2 * bytes)
  const view = new DataView(out.buffer)
  const put = (at: number, x: number) => {
    if (kind === 'f') return bytes === 4 ? view.setFloat32(at, x, !big) : view.setFloat64(at, x, !big)
    const steps = 2 ** (8 * bytes - 1)
    const code = kind === 'i' ? Math.round(x * steps) : Math.round(x * steps + steps - 0.5)
    if (bytes === 1) return kind === 'i' ? view.setInt8(at, code) : view.setUint8(at, code)
    if (bytes === 2) return kind === 'i' ? view.setInt16(at, code, !big) : view.setUint16(at, code, !big)
    view.setInt32(at, code, !big)
  }
  made.i.forEach((x, n) => {
    put(2 * n * bytes, x)
    put((2 * n + 1) * bytes, made.q[n]!)
  })
  return out
}

describe('SigMF', () => {
  it.each([
    'cf32_le',
    'cf32_be',
    'cf64_le',
    'ci16_le',
    'ci16_be',
    'cu16_le',
    'ci32_le',
    'ci32_be',
    'ci8',
    'cu8',
  ])('%s comes back as it was written, to half a step', async datatype => {
    const r = await pair(meta({ 'core:datatype': datatype }), encode(datatype))
    const { i, q } = await r.read(0, r.sampleCount)
    expect(r.sampleCount).toBe(made.i.length)
    const step = Math.max(6e-8, r.steps === null ? 0 : 0.51 / r.steps)
    for (const n of [0, 17, 4000])
      expect([Math.abs(i[n]! - made.i[n]!) <= step, Math.abs(q[n]! - made.q[n]!) <= step]).toEqual([
        true,
        true,
      ])
  })
  it('what is written here is read here, with its annotations and centre', async () => {
    const r = await pair(written.meta, written.data)
    expect([r.sampleRateHz, r.centreHz, r.annotations[0]!.label]).toEqual([24_000, 27_180_000, 'carrier'])
    expect((await r.read(100, 1)).i[0]).toBeCloseTo(made.i[100]!, 6)
  })
  it('comes in one archive too: tar and ZIP', async () => {
    const files = { 'rec/a.sigmf-meta': text(written.meta), 'rec/a.sigmf-data': written.data }
    for (const [name, bytes] of [
      ['a.zip', zipSync(files)],
      ['a.sigmf', tar(files)],
    ] as const) {
      const r = await openRecording(bytesSource(name, bytes), none)
      expect((await r.read(200, 1)).q[0]).toBeCloseTo(made.q[200]!, 6)
    }
  })
  it('packed here, it is read here', async () => {
    const parts = packTar([
      { name: 'b.sigmf-meta', size: text(written.meta).length, content: text(written.meta) },
      { name: 'b.sigmf-data', size: written.data.length, content: written.data },
    ])
    const bytes = new Uint8Array(await new Blob(parts as BlobPart[]).arrayBuffer())
    expect((await (await openRecording(bytesSource('b.sigmf', bytes), none)).read(9, 1)).i[0]).toBeCloseTo(
      made.i[9]!,
      6,
    )
  })
  it('a hash that matches is taken, one that does not is refused', async () => {
    expect(
      (await pair(meta({ 'core:sha512': bytesToHex(sha512(written.data)) }), written.data)).sampleCount,
    ).toBe(6000)
    expect(await refusal(pair(meta({ 'core:sha512': 'ab'.repeat(64) }), written.data))).toMatch(
      /core:sha512: does not match/,
    )
  })
  it('retuned half way: what lies before is measured, with a note', async () => {
    const r = await pair(
      meta({}, [
        { 'core:sample_start': 0, 'core:frequency': 1e6 },
        { 'core:sample_start': 4000, 'core:frequency': 2e6 },
      ]),
      written.data,
    )
    expect([r.sampleCount, r.centreHz]).toEqual([4000, 1e6])
    expect(r.notes.map(n => n.code)).toContain('retuned')
  })
  it.each<[string, string, Uint8Array, RegExp]>([
    ['metadata that is no JSON', '{"global":', written.data, /a\.sigmf-meta: metadata: is not JSON/],
    ['no global', '{}', written.data, /global: is missing/],
    ['no sample rate', meta({ 'core:sample_rate': undefined }), written.data, /core:sample_rate: is missing/],
    [
      'a sample rate as text',
      meta({ 'core:sample_rate': '24000' }),
      written.data,
      /core:sample_rate: "24000" is not a sample rate/,
    ],
    ['a negative sample rate', meta({ 'core:sample_rate': -1 }), written.data, /core:sample_rate/],
    ['no datatype', meta({ 'core:datatype': undefined }), written.data, /core:datatype: is missing/],
    [
      'an unknown datatype',
      meta({ 'core:datatype': 'cf16_le' }),
      written.data,
      /core:datatype: "cf16_le" is not supported/,
    ],
    ['a datatype without byte order', meta({ 'core:datatype': 'cf32' }), written.data, /core:datatype/],
    [
      'data outside its folder',
      meta({ 'core:dataset': '../secret' }),
      written.data,
      /core:dataset: "\.\.\/secret" lies outside/,
    ],
    ['two channels', meta({ 'core:num_channels': 2 }), written.data, /core:num_channels: 2 channels/],
    ['no data', meta(), new Uint8Array(0), /data: is empty/],
    [
      'data cut inside a sample',
      meta(),
      written.data.subarray(0, 4003),
      /data: 4003 bytes end inside a sample/,
    ],
    [
      'data shorter than said',
      meta({}, undefined, [{ 'core:sample_start': 5000, 'core:sample_count': 2000 }]),
      written.data,
      /6000 samples; the metadata state 7000/,
    ],
    [
      'a capture beyond the end',
      meta({}, [{ 'core:sample_start': 1e7 }]),
      written.data,
      /captures: begin at sample 10000000, beyond the end/,
    ],
    [
      'captures in disorder',
      meta({}, [{ 'core:sample_start': 100 }, { 'core:sample_start': 0 }]),
      written.data,
      /captures: are not in order/,
    ],
  ])('%s is refused by field', async (_name, m, data, words) =>
    expect(await refusal(pair(m, data))).toMatch(words),
  )
  it.each([Number.NaN, Infinity])(
    'samples of %d are refused when they are read, nothing is measured from them',
    async bad => {
      const data = written.data.slice()
      new DataView(data.buffer).setFloat32(8 * 3000, bad, true)
      const r = await pair(meta(), data)
      expect(await refusal(measureRecording(r, DEFAULT_OPTIONS))).toMatch(
        /bad-recording: a\.sigmf-data: data: sample 3000 is (NaN|Infinity)/,
      )
    },
  )
})

describe('WAV', () => {
  const wav = (bits: string, channels: 1 | 2) => {
    const file = new wavefile.WaveFile()
    const isFloat = bits === '32f' || bits === '64'
    const scale = isFloat ? 1 : 2 ** (Number(bits) - 1) - 1
    const of = (x: Float64Array) =>
      Array.from(x, v => {
        if (bits === '8') return Math.round(v * scale + 128)
        return scale === 1 ? v : Math.round(v * scale)
      })
    file.fromScratch(channels, 24_000, bits, channels === 2 ? [of(made.i), of(made.q)] : of(made.i))
    return file.toBuffer()
  }
  it.each([
    ['8', 0.02],
    ['16', 1e-4],
    ['24', 1e-6],
    ['32', 1e-6],
    ['32f', 1e-6],
    ['64', 1e-6],
  ] as const)('%s bits, as another program writes them (wavefile)', async (bits, step) => {
    const iq = await openRecording(bytesSource('a.wav', wav(bits, 2)), none)
    expect([iq.kind, iq.sampleRateHz, iq.sampleCount]).toEqual(['iq', 24_000, 6000])
    const { i, q } = await iq.read(100, 50)
    expect([Math.abs(i[7]! - made.i[107]!) < step, Math.abs(q[7]! - made.q[107]!) < step]).toEqual([
      true,
      true,
    ])
    expect((await openRecording(bytesSource('a.wav', wav(bits, 1)), none)).kind).toBe('audio')
    expect((await openRecording(bytesSource('a.wav', wav(bits, 1)), none, { monoIs: 'real' })).kind).toBe(
      'real',
    )
  })
  it('what is written here is read here, and by another program (wavefile)', async () => {
    const bytes = writeWav(Float32Array.from(made.i), 24_000)
    expect((await (await openRecording(bytesSource('a.wav', bytes), none)).read(70, 1)).i[0]).toBeCloseTo(
      made.i[70]!,
      6,
    )
    expect((new wavefile.WaveFile(bytes).getSamples() as Float64Array)[70]).toBeCloseTo(made.i[70]!, 6)
  })
  it.each<[string, (b: Uint8Array, v: DataView) => Uint8Array, RegExp]>([
    ['no RIFF', b => ((b[0] = 0), b), /header: is not that of a WAV file/],
    ['cut inside its header', b => b.subarray(0, 30), /header/],
    ['compressed', (b, v) => (v.setUint16(20, 85, true), b), /format 85 is compressed/],
    ['five channels', (b, v) => (v.setUint16(22, 5, true), b), /5 channels/],
    ['no sample rate', (b, v) => (v.setUint32(24, 0, true), b), /sample rate is zero/],
    ['bits that do not fit', (b, v) => (v.setUint16(34, 12, true), b), /do not fit/],
    ['no samples', b => b.subarray(0, 44), /data: is empty/],
  ])('%s is refused by field', async (_name, damage, words) => {
    const bytes = wav('16', 2).slice()
    expect(
      await refusal(openRecording(bytesSource('a.wav', damage(bytes, new DataView(bytes.buffer))), none)),
    ).toMatch(words)
  })
  it.each<[string, (b: Uint8Array, v: DataView) => Uint8Array, string]>([
    ['sizes never fixed by the recorder', (b, v) => (v.setUint32(40, 0, true), b), 'size-never-fixed'],
    ['sizes left at their largest', (b, v) => (v.setUint32(40, 0xffffffff, true), b), 'size-never-fixed'],
    ['cut at the end', b => b.subarray(0, b.length - 4001), 'cut-at-the-end'],
  ])('%s is measured with a note', async (_name, damage, code) => {
    const bytes = wav('16', 2).slice()
    const r = await openRecording(bytesSource('a.wav', damage(bytes, new DataView(bytes.buffer))), none)
    expect(r.notes.map(n => n.code)).toContain(code)
    expect((await measureRecording(r, DEFAULT_OPTIONS)).measurement.am!.depthNegative).toBeCloseTo(0.8, 2)
  })
})

describe('tables of an oscilloscope', () => {
  const withComma = (x: number) => x.toFixed(4).replace('.', ',')
  const rows = (n: number, line: (t: number, v: number) => string) =>
    Array.from({ length: n }, (_, k) => line(k * 1e-5, 0.3 * Math.sin(2 * Math.PI * 1000 * k * 1e-5))).join(
      '\n',
    )
  it.each<[string, string]>([
    [
      'commas and a unit line',
      `Model,X1\nSource,CH1\nTime,CH1\n(s),(V)\n${rows(2000, (t, v) => `${t},${v}`)}`,
    ],
    [
      'semicolons, decimal commas, milliseconds, millivolts',
      `Zeit (ms);CH1 (mV)\n${rows(2000, (t, v) => [t, v].map(x => withComma(1e3 * x)).join(';'))}`,
    ],
    ['tabs without any header', rows(2000, (t, v) => `${t.toExponential(6)}\t${v.toFixed(6)}`)],
  ])('%s', async (_name, content) => {
    const preview = await previewScopeCsv(bytesSource('a.csv', text(content)))
    expect(preview.sampleRateHz / 1e5).toBeCloseTo(1, 2)
    const r = await openRecording(bytesSource('a.csv', text(content)), none)
    expect([r.kind, r.sampleCount]).toEqual(['audio', 2000])
    expect((await r.read(25, 1)).i[0]).toBeCloseTo(0.3, 3)
    expect((await measureRecording(r, DEFAULT_OPTIONS)).measurement.audio!.fundamentalHz).toBeCloseTo(1000, 0)
  })
  it('two columns of voltage are I and Q', async () => {
    const content = `t,i,q\n${rows(2000, (t, v) => `${t},${v},${-v}`)}`
    expect((await openRecording(bytesSource('a.csv', text(content)), none)).kind).toBe('iq')
  })
  it.each([
    ['no table', 'hello\nworld\n', /no rows of time and voltage/],
    ['a hole', `${rows(500, (t, v) => `${t},${v}`)}\n0.5,1\n0.50001,1`, /samples are missing/],
    ['a word among numbers', `${rows(50, (t, v) => `${t},${v}`)}\n5,oops`, /line 51: "5,oops" is not a row/],
  ])('%s is refused by field', async (_name, content, words) => {
    expect(await refusal(openRecording(bytesSource('a.csv', text(content)), none))).toMatch(words)
  })
})

describe('whatever bytes', () => {
  const samples: readonly [string, Uint8Array, Uint8Array | null][] = [
    ['a.sigmf-meta', text(written.meta), written.data],
    ['a.wav', text('RIFF'), null],
    ['a.csv', text('0,1\n1,2\n2,3\n'), null],
    [
      'a.sigmf',
      tar({ 'a.sigmf-meta': text(written.meta), 'a.sigmf-data': written.data.subarray(0, 4096) }),
      null,
    ],
    [
      'a.zip',
      zipSync({ 'a.sigmf-meta': text(written.meta), 'a.sigmf-data': written.data.subarray(0, 4096) }),
      null,
    ],
  ]
  const RUNS = Number(process.env.FUZZ_RUNS ?? 1500)
  /**
   * Truncated and changed files end in an error of ours or in a recording that can be read; never in anything
   * else.
   */
  it(`${RUNS} mutated files: an error by name, or a recording`, async () => {
    const wavBytes = new wavefile.WaveFile()
    wavBytes.fromScratch(2, 24_000, '16', [
      Array.from({ length: 600 }, (_, k) => k),
      Array.from({ length: 600 }, (_, k) => -k),
    ])
    const all = samples.map(
      ([name, bytes, data]) => [name, name === 'a.wav' ? wavBytes.toBuffer() : bytes, data] as const,
    )
    await fc.assert(
      fc.asyncProperty(
        fc.integer({ min: 0, max: all.length - 1 }),
        fc.array(fc.tuple(fc.nat(), fc.nat({ max: 255 })), { maxLength: 12 }),
        fc.option(fc.nat()),
        async (which, changes, cut) => {
          const [name, original, data] = all[which]!
          const bytes = original.slice(0, cut === null ? original.length : cut % (original.length + 1))
          for (const [at, value] of changes) if (bytes.length > 0) bytes[at % bytes.length] = value
          const source: ByteSource = bytesSource(name, bytes)
          try {
            const r = await openRecording(source, async () => data && bytesSource('a.sigmf-data', data))
            expect(Number.isInteger(r.sampleCount) && r.sampleCount > 0 && r.sampleRateHz > 0).toBe(true)
            await r.read(0, Math.min(r.sampleCount, 64))
          } catch (error) {
            if (!(error instanceof CoreError)) throw error
            expect(error.message).not.toMatch(/\n|undefined|\[object/)
          }
        },
      ),
      { numRuns: RUNS },
    )
  }, 600_000)
})

/** A tar archive as POSIX ustar writes it. */
function tar(files: Record<string, Uint8Array>): Uint8Array {
  const blocks: Uint8Array[] = []
  for (const [name, data] of Object.entries(files)) {
    const header = new Uint8Array(512)
    header.set(text(name), 0)
    header.set(text('0000644\u0000'), 100)
    header.set(text(`${data.length.toString(8).padStart(11, '0')}\u0000`), 124)
    header.set(text('        '), 148)
    header[156] = 0x30
    header.set(text('ustar\u000000'), 257)
    header.set(
      text(
        `${header
          .reduce((a, b) => a + b, 0)
          .toString(8)
          .padStart(6, '0')}\u0000 `,
      ),
      148,
    )
    blocks.push(header, data, new Uint8Array((512 - (data.length % 512)) % 512))
  }
  blocks.push(new Uint8Array(1024))
  const out = new Uint8Array(blocks.reduce((a, b) => a + b.length, 0))
  blocks.reduce((at, b) => (out.set(b, at), at + b.length), 0)
  return out
}
