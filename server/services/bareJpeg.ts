const SOI = 0xffd8
const EOI = 0xffd9
const SOS = 0xffda
/** JFIF, and the colour transform of Adobe: what our own files carry. */
const HARMLESS = new Set([0xffe0, 0xffee])
const isApplication = (marker: number) => (marker & 0xfff0) === 0xffe0
const COMMENT = 0xfffe

/**
 * Whether a JPEG holds the picture only: no place, time, maker or comment in a segment of its own
 * (ITU-T T.81, B.1.1), and nothing behind its end.
 */
export function isBareJpeg(data: Buffer): boolean {
  if (data.length < 4 || data.readUInt16BE(0) !== SOI || data.readUInt16BE(data.length - 2) !== EOI)
    return false
  for (let at = 2; at + 4 <= data.length;) {
    const marker = data.readUInt16BE(at)
    if (marker === SOS) return data.indexOf(Buffer.from([0xff, 0xd9]), at) === data.length - 2
    if (marker === COMMENT || (isApplication(marker) && !HARMLESS.has(marker))) return false
    at += 2 + data.readUInt16BE(at + 2)
  }
  return false
}
