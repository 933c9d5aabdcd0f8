import wavefile from 'wavefile'
import { describe, expect, it } from 'vitest'
import { DEFAULT_OPTIONS, measureRecording } from '../signal'
import { bytesSource, openRecording, writeWav } from './'
import { made, none, refusal } from '../../test/fixtures/recordings'

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
