import { zipSync } from 'fflate'
import { sha512 } from '@noble/hashes/sha2'
import { bytesToHex } from '@noble/hashes/utils'
import { describe, expect, it } from 'vitest'
import { DEFAULT_OPTIONS, measureRecording } from '../signal'
import { bytesSource, openRecording, packTar } from './'
import { text, made, written, meta, none, refusal, encode, tar } from '../../test/fixtures/recordings'

const pair = (m: string | Uint8Array, data: Uint8Array) =>
  openRecording(bytesSource('a.sigmf-meta', typeof m === 'string' ? text(m) : m), async () =>
    bytesSource('a.sigmf-data', data),
  )

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
