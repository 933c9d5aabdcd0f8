/** A sound as a WAV file: one channel of 32-bit floats. */
export function writeWav(x: Float32Array, sampleRateHz: number): Uint8Array {
  const out = new Uint8Array(44 + 4 * x.length)
  const view = new DataView(out.buffer)
  const put = (at: number, text: string) =>
    [...text].forEach((c, i) => view.setUint8(at + i, c.charCodeAt(0)))
  put(0, 'RIFF')
  view.setUint32(4, 36 + 4 * x.length, true)
  put(8, 'WAVEfmt ')
  view.setUint32(16, 16, true)
  view.setUint16(20, 3, true)
  view.setUint16(22, 1, true)
  view.setUint32(24, sampleRateHz, true)
  view.setUint32(28, 4 * sampleRateHz, true)
  view.setUint16(32, 4, true)
  view.setUint16(34, 32, true)
  put(36, 'data')
  view.setUint32(40, 4 * x.length, true)
  x.forEach((v, n) => view.setFloat32(44 + 4 * n, v, true))
  return out
}
