import { t, type MessageCode } from '#shared/i18n'
import { closeSync, fstatSync, openSync, readSync } from 'node:fs'
import { basename } from 'node:path'
import type { ByteSource } from '#core/recording'

const WHY: Readonly<Record<string, MessageCode>> = {
  ENOENT: 'command.notFound',
  EACCES: 'command.noPermission',
}

/** A file on disk, read by place. @throws {Error} in words: not there, not readable, a folder */
export function fileSource(path: string): ByteSource {
  let handle: number
  try {
    handle = openSync(path, 'r')
  } catch (error) {
    const code = (error as NodeJS.ErrnoException).code ?? ''
    throw new Error(t(WHY[code] ?? 'command.cannotOpen', { file: basename(path), code }))
  }
  const about = fstatSync(handle)
  if (!about.isFile()) {
    closeSync(handle)
    throw new Error(t('command.notAFile', { file: basename(path) }))
  }
  return {
    name: basename(path),
    size: about.size,
    read: async (from, length) => {
      const bytes = new Uint8Array(Math.max(0, Math.min(length, about.size - from)))
      let got = 0
      while (got < bytes.length) {
        const more = readSync(handle, bytes, got, bytes.length - got, from + got)
        if (more === 0) break
        got += more
      }
      return bytes.subarray(0, got)
    },
  }
}
