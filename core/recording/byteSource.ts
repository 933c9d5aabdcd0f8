/**
 * Bytes that can be read piece by piece, wherever they lie: a file on disk, one that was dropped, a part of
 * an archive.
 */
export interface ByteSource {
  /** file name without its folder */
  readonly name: string
  /** bytes */
  readonly size: number
  /** @param from first byte @param length bytes; fewer come back at the end */
  read(from: number, length: number): Promise<Uint8Array>
}

/** A source over bytes in memory. */
export function bytesSource(name: string, bytes: Uint8Array): ByteSource {
  return {
    name,
    size: bytes.length,
    read: async (from, length) =>
      bytes.subarray(Math.min(from, bytes.length), Math.min(from + length, bytes.length)),
  }
}

/** A part of another source. */
export function sliceSource(source: ByteSource, name: string, from: number, size: number): ByteSource {
  return {
    name,
    size,
    read: (at, length) => source.read(from + at, Math.max(0, Math.min(length, size - at))),
  }
}
