import { packTar } from '#core/recording'

/** One file to keep and to pass on: a SigMF pair becomes one .sigmf archive, anything else stays as it is. */
export function packRecording(files: readonly File[]): File {
  const [first] = files
  if (files.length < 2) return first!
  const name = first!.name.replace(/\.sigmf-(meta|data)$/, '.sigmf')
  return new File(packTar(files.map(f => ({ name: f.name, size: f.size, content: f }))) as BlobPart[], name)
}

/**
 * Files by pairs: what was dropped together and belongs together. Names that belong to nothing are left
 * alone.
 */
export function recordingsIn(files: readonly File[]): File[][] {
  const stem = (f: File) => f.name.replace(/\.sigmf-(meta|data)$/, '')
  const groups = new Map<string, File[]>()
  for (const file of files) groups.set(stem(file), [...(groups.get(stem(file)) ?? []), file])
  return [...groups.values()]
}
