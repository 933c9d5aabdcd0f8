/**
 * Pieces of a tar archive, in order: headers made here, files as they are. A Blob or a file is put together
 * from them.
 */
export interface ArchiveMember<T> {
  readonly name: string
  readonly size: number
  readonly content: T
}

const BLOCK = 512

/** POSIX ustar, so that a SigMF pair is kept and passed on as one .sigmf file. */
export function packTar<T>(members: readonly ArchiveMember<T>[]): (Uint8Array | T)[] {
  return [
    ...members.flatMap(m => [
      header(m.name, m.size),
      m.content,
      new Uint8Array((BLOCK - (m.size % BLOCK)) % BLOCK),
    ]),
    new Uint8Array(2 * BLOCK),
  ]
}

function header(name: string, size: number): Uint8Array {
  const out = new Uint8Array(BLOCK)
  const put = (at: number, text: string) =>
    [...text].forEach((c, i) => (out[at + i] = c.charCodeAt(0) & 0x7f))
  put(0, name.slice(-99))
  put(100, '0000644')
  put(124, size.toString(8).padStart(11, '0'))
  put(148, '        ')
  put(156, '0')
  put(257, 'ustar')
  put(263, '00')
  put(
    148,
    `${out
      .reduce((a, b) => a + b, 0)
      .toString(8)
      .padStart(6, '0')}`,
  )
  out[154] = 0
  return out
}
