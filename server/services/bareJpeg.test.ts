import sharp from 'sharp'
import { describe, expect, it } from 'vitest'
import { isBareJpeg } from './bareJpeg'
import { keptPicture } from './picture'

const bare = sharp({ create: { width: 40, height: 30, channels: 3, background: '#567' } }).jpeg()
const segment = (marker: number, text: string) =>
  Buffer.from([0xff, marker, 0, text.length + 2, ...Buffer.from(text)])
const withSegment = (data: Buffer, marker: number) =>
  Buffer.concat([data.subarray(0, 2), segment(marker, 'Weirside'), data.subarray(2)])

describe('A JPEG that holds its picture only', () => {
  it('is one as it is kept here, with all colours and scans', async () => {
    const noise = await sharp({
      create: {
        width: 300,
        height: 200,
        channels: 3,
        background: '#000',
        noise: { type: 'gaussian', mean: 128, sigma: 60 },
      },
    })
      .png()
      .toBuffer()
    expect(isBareJpeg((await keptPicture(noise)).data)).toBe(true)
    expect(isBareJpeg(await bare.toBuffer())).toBe(true)
  })

  it('is none with place and time, a comment, or something behind its end', async () => {
    const data = await bare.toBuffer()
    expect(
      isBareJpeg(
        await bare
          .clone()
          .withExif({ IFD3: { GPSLatitudeRef: 'N' } })
          .toBuffer(),
      ),
    ).toBe(false)
    for (const marker of [0xe1, 0xed, 0xfe]) expect(isBareJpeg(withSegment(data, marker))).toBe(false)
    expect(isBareJpeg(Buffer.concat([data, Buffer.from('more')]))).toBe(false)
    expect(isBareJpeg(Buffer.concat([data, data]))).toBe(false)
  })

  it('is no other file', async () => {
    for (const other of [
      Buffer.alloc(0),
      Buffer.from([0xff, 0xd8, 0xff, 0xd9]),
      await bare.clone().png().toBuffer(),
    ])
      expect(isBareJpeg(other)).toBe(false)
  })
})
