import { deflateSync } from 'node:zlib'
import sharp from 'sharp'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Attachment } from '../../shared/attachment'
import type { WireError } from '../../shared/errors'
import { testHouse, type TestHouse } from './house'

const house = {} as TestHouse
beforeAll(async () => void Object.assign(house, await testHouse({ demo: false })))
afterAll(() => house.stop())

async function upload(
  jobId: string,
  file: Buffer,
  change: Record<string, string> = {},
): Promise<{ status: number; kept: Attachment | null; error: WireError | null }> {
  const query = new URLSearchParams({
    id: crypto.randomUUID(),
    kind: 'photo',
    about: '',
    name: 'board.jpg',
    ...change,
  })
  const response = await fetch(`${house.address}/api/jobs/${jobId}/attachments?${query}`, {
    method: 'POST',
    body: new Uint8Array(file),
  })
  const body = (await response.json()) as unknown
  return {
    status: response.status,
    kept: response.ok ? (body as Attachment) : null,
    error: response.ok ? null : (body as { data: WireError }).data,
  }
}
const list = async (jobId: string) =>
  (await house.request('GET', `/api/jobs/${jobId}/attachments`)).body as Attachment[]
const jpeg = (width: number, height: number) =>
  sharp({ create: { width, height, channels: 3, background: '#7a8' } })
    .withExif({ IFD3: { GPSLatitudeRef: 'N' } })
    .jpeg()
    .toBuffer()

/** A PNG of a few kilobytes that claims 30 000 x 30 000 pixels: a decompression bomb. */
function bomb(): Buffer {
  const chunk = (type: string, data: Buffer) => {
    const body = Buffer.concat([Buffer.from(type), data])
    const length = Buffer.alloc(4)
    length.writeUInt32BE(data.length)
    const crc = Buffer.alloc(4)
    crc.writeUInt32BE(crc32(body))
    return Buffer.concat([length, body, crc])
  }
  const header = Buffer.alloc(13)
  header.writeUInt32BE(30_000, 0)
  header.writeUInt32BE(30_000, 4)
  header.set([8, 0, 0, 0, 0], 8)
  return Buffer.concat([
    Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]),
    chunk('IHDR', header),
    chunk('IDAT', deflateSync(Buffer.alloc(1_000_000))),
    chunk('IEND', Buffer.alloc(0)),
  ])
}

function crc32(data: Buffer): number {
  let crc = ~0
  for (const byte of data) {
    crc ^= byte
    for (let i = 0; i < 8; i++) crc = (crc >>> 1) ^ (0xedb88320 & -(crc & 1))
  }
  return ~crc >>> 0
}

describe('photos', () => {
  it(
    'are kept upright and small, without place and time, with ' +
      'a thumbnail; sent twice they are kept once',
    async () => {
      const jobId = await house.newJob()
      const id = crypto.randomUUID()
      const file = await jpeg(3200, 1600)
      const { kept } = await upload(jobId, file, { id })
      expect(kept).toMatchObject({
        id,
        mime: 'image/jpeg',
        width: 2560,
        height: 1280,
        rotation: 0,
        arrows: [],
      })
      await upload(jobId, file, { id })
      expect(await list(jobId)).toHaveLength(1)
      const response = await fetch(`${house.address}/api/attachments/${id}`)
      const data = Buffer.from(await response.arrayBuffer())
      expect([
        response.headers.get('content-type'),
        response.headers.get('x-content-type-options'),
        data.length,
      ]).toEqual(['image/jpeg', 'nosniff', kept!.bytes])
      expect(response.headers.get('content-security-policy')).toMatch(/sandbox/)
      expect((await sharp(data).metadata()).exif).toBeUndefined()
      const thumbnail = await sharp(
        Buffer.from(await (await fetch(`${house.address}/api/attachments/${id}/thumbnail`)).arrayBuffer()),
      ).metadata()
      expect([thumbnail.width, thumbnail.height]).toEqual([360, 180])
    },
  )
  it('larger than one chunk come back byte by byte', async () => {
    const jobId = await house.newJob()
    const noise = Buffer.from(
      Uint8Array.from({ length: 1200 * 900 * 3 }, (_, i) => Math.imul(i, 2654435761) >>> 24),
    )
    const { kept } = await upload(
      jobId,
      await sharp(noise, { raw: { width: 1200, height: 900, channels: 3 } })
        .png()
        .toBuffer(),
    )
    expect(kept!.bytes).toBeGreaterThan(262_144)
    const data = Buffer.from(
      await (await fetch(`${house.address}/api/attachments/${kept!.id}`)).arrayBuffer(),
    )
    const digest = Buffer.from(await crypto.subtle.digest('SHA-256', data)).toString('hex')
    expect(digest).toBe(kept!.checksum)
  })
  it('are turned, pointed at and put aside, never from an older version', async () => {
    const jobId = await house.newJob()
    const { kept } = await upload(jobId, await jpeg(400, 300))
    const patch = (body: object) => house.request('PATCH', `/api/attachments/${kept!.id}`, body)
    expect(
      await patch({ version: 1, rotation: 90, arrows: [{ x1: 0, y1: 0, x2: 0.5, y2: 0.5 }] }),
    ).toMatchObject({ status: 200, body: { rotation: 90, version: 2 } })
    expect(await patch({ version: 1, rotation: 180 })).toMatchObject({
      status: 409,
      error: { code: 'changed-meanwhile' },
    })
    expect(await patch({ version: 2, rotation: 45 })).toMatchObject({ status: 400 })
    expect(await patch({ version: 2, arrows: [{ x1: 0, y1: 0, x2: 2, y2: 0.5 }] })).toMatchObject({
      status: 400,
    })
    await patch({ version: 2, putAside: true })
    expect(await list(jobId)).toEqual([])
  })
})

describe('what is no photo', () => {
  it('is refused in words, and nothing else is lost', async () => {
    const jobId = await house.newJob()
    await upload(jobId, await jpeg(400, 300))
    const refused = async (file: Buffer, change = {}) => {
      const { status, error } = await upload(jobId, file, change)
      return [status, error!.code, error!.message] as const
    }
    expect(await refused(Buffer.from('%PDF-1.7\n1 0 obj\n<< >>\nendobj\n%%EOF'))).toEqual([
      415,
      'not-an-image',
      expect.stringMatching(/a PDF file, whatever its name says/),
    ])
    expect(
      await refused(Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>')),
    ).toEqual([415, 'not-an-image', expect.stringMatching(/JPEG, PNG or WebP/)])
    expect(await refused(Buffer.from('PK\u0003\u0004 a zip'))).toEqual([
      415,
      'not-an-image',
      expect.any(String),
    ])
    expect(await refused(bomb())).toEqual([415, 'not-an-image', expect.stringMatching(/60 million pixels/)])
    expect(await refused((await jpeg(400, 300)).subarray(0, 600))).toEqual([
      415,
      'not-an-image',
      expect.stringMatching(/damaged/),
    ])
    expect(await refused(Buffer.alloc(25 * 1024 * 1024, 1))).toEqual([
      413,
      'body-too-large',
      expect.stringMatching(/25 MB, limit 20 MB/),
    ])
    expect(await refused(Buffer.from('hello'), { kind: 'voice' })).toEqual([
      415,
      'not-a-recording',
      expect.any(String),
    ])
    expect((await upload(crypto.randomUUID(), await jpeg(4, 4))).status).toBe(404)
    expect(await list(jobId)).toHaveLength(1)
    expect(await house.request('GET', '/api/attachments/00000000-0000-4000-8000-000000000000')).toMatchObject(
      { status: 404 },
    )
  })
})

describe('voice notes', () => {
  it('are kept as they were spoken', async () => {
    const jobId = await house.newJob()
    const wav = Buffer.concat([
      Buffer.from('RIFF'),
      Buffer.from([36, 0, 0, 0]),
      Buffer.from('WAVEfmt '),
      Buffer.from([16, 0, 0, 0, 1, 0, 1, 0, 0x40, 0x1f, 0, 0, 0x80, 0x3e, 0, 0, 2, 0, 16, 0]),
      Buffer.from('data'),
      Buffer.from([0, 0, 0, 0]),
    ])
    const { kept } = await upload(jobId, wav, { kind: 'voice', name: 'spoken' })
    expect(kept).toMatchObject({ kind: 'voice', mime: 'audio/wav', bytes: wav.length, width: null })
    expect(
      Buffer.from(await (await fetch(`${house.address}/api/attachments/${kept!.id}`)).arrayBuffer()),
    ).toEqual(wav)
  })
})
