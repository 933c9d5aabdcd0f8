import type { SampleBlock } from './recording'

/** How one number of a channel is written. */
export interface SampleType {
  readonly name: string
  readonly bytes: number
  /** steps from zero to full scale; null = floating point */
  readonly steps: number | null
  readonly decode: (bytes: Uint8Array, count: number, stride: number, offset: number) => Float32Array
}

type Getter = (view: DataView, at: number) => number

function decoder(bytes: number, get: Getter) {
  return (data: Uint8Array, count: number, stride: number, offset: number): Float32Array => {
    const view = new DataView(data.buffer, data.byteOffset, data.byteLength)
    const out = new Float32Array(count)
    for (let n = 0, at = offset * bytes; n < count; n++, at += stride * bytes) out[n] = get(view, at)
    return out
  }
}

const type = (name: string, bytes: number, steps: number | null, get: Getter): SampleType => ({
  name,
  bytes,
  steps,
  decode: decoder(bytes, get),
})

/**
 * Every way of writing a sample that is read here. 8 bits unsigned have no middle code: 127.5 is taken, the
 * usual one of the three that are in use (127, 127.5, 128), which leaves up to 0.07 dB and a line at 0 Hz of
 * -48 dBFS.
 */
export const SAMPLE_TYPES: readonly SampleType[] = [
  type('f32_le', 4, null, (v, at) => v.getFloat32(at, true)),
  type('f32_be', 4, null, (v, at) => v.getFloat32(at, false)),
  type('f64_le', 8, null, (v, at) => v.getFloat64(at, true)),
  type('f64_be', 8, null, (v, at) => v.getFloat64(at, false)),
  type('i32_le', 4, 2 ** 31, (v, at) => v.getInt32(at, true) / 2 ** 31),
  type('i32_be', 4, 2 ** 31, (v, at) => v.getInt32(at, false) / 2 ** 31),
  type(
    'i24_le',
    3,
    2 ** 23,
    (v, at) => (v.getUint8(at) | (v.getUint8(at + 1) << 8) | (v.getInt8(at + 2) << 16)) / 2 ** 23,
  ),
  type('i16_le', 2, 32768, (v, at) => v.getInt16(at, true) / 32768),
  type('i16_be', 2, 32768, (v, at) => v.getInt16(at, false) / 32768),
  type('u16_le', 2, 32768, (v, at) => (v.getUint16(at, true) - 32767.5) / 32768),
  type('u16_be', 2, 32768, (v, at) => (v.getUint16(at, false) - 32767.5) / 32768),
  type('i8', 1, 128, (v, at) => v.getInt8(at) / 128),
  type('u8', 1, 128, (v, at) => (v.getUint8(at) - 127.5) / 128),
]

export function sampleType(name: string): SampleType | null {
  return SAMPLE_TYPES.find(t => t.name === name) ?? null
}

/**
 * @param into arrays of the right length that may be filled anew. Little-endian numbers where the machine is
 * little-endian too are taken over whole: ten times quicker.
 */
export function decodePairs(
  type: SampleType,
  data: Uint8Array,
  count: number,
  into?: SampleBlock,
): SampleBlock {
  const hasRoom = into?.i.length === count && into.q.length === count
  const i = hasRoom ? into.i : new Float32Array(count)
  const q = hasRoom ? into.q : new Float32Array(count)
  const aligned = data.byteOffset % type.bytes === 0 ? data : data.slice()
  const whole = wholeArray(type.name, aligned, count * 2)
  if (!whole) return { i: type.decode(data, count, 2, 0), q: type.decode(data, count, 2, 1) }
  const { numbers, minus, scale } = whole
  for (let n = 0, at = 0; n < count; n++, at += 2) {
    i[n] = (numbers[at]! - minus) * scale
    q[n] = (numbers[at + 1]! - minus) * scale
  }
  return { i, q }
}

function wholeArray(
  name: string,
  data: Uint8Array,
  count: number,
): { numbers: ArrayLike<number>; minus: number; scale: number } | null {
  switch (name) {
    case 'f32_le':
      return { numbers: new Float32Array(data.buffer, data.byteOffset, count), minus: 0, scale: 1 }
    case 'i16_le':
      return { numbers: new Int16Array(data.buffer, data.byteOffset, count), minus: 0, scale: 1 / 32768 }
    case 'i8':
      return { numbers: new Int8Array(data.buffer, data.byteOffset, count), minus: 0, scale: 1 / 128 }
    case 'u8':
      return { numbers: data, minus: 127.5, scale: 1 / 128 }
    default:
      return null
  }
}
