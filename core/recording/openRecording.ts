import { message } from '../message'
import { pairIn, tarMembers, zipMembers } from './archive'
import type { ByteSource } from './byteSource'
import { badRecording, type Recording } from './recording'
import { openScopeCsv } from './scopeCsv'
import { openSigmf } from './sigmf'
import { openWav } from './wav'

/** What one channel holds where the file cannot say. */
export interface OpenOptions {
  readonly monoIs?: 'audio' | 'real'
}

/**
 * Opens a recording by the end of its name.
 * @param file the file that was chosen
 * @param beside gives a file of the same folder by name, or null: the other half of a SigMF pair
 * @throws {CoreError} bad-recording by file, field and reason; unknown-format
 */
export async function openRecording(
  file: ByteSource,
  beside: (name: string) => Promise<ByteSource | null>,
  options: OpenOptions = {},
): Promise<Recording> {
  const ending = /\.(sigmf-meta|sigmf-data|sigmf|zip|wav|csv|txt|tsv)$/i.exec(file.name)?.[1]?.toLowerCase()
  if (file.size === 0) throw badRecording(file.name, 'file', message('recording.empty'))
  switch (ending) {
    case 'wav':
      return openWav(file, options.monoIs)
    case 'csv':
    case 'txt':
    case 'tsv':
      return openScopeCsv(file, undefined, options.monoIs ?? 'auto')
    case 'sigmf':
      return openPair(pairIn(file.name, await tarMembers(file)))
    case 'zip':
      return openPair(pairIn(file.name, await zipMembers(file)))
    case 'sigmf-meta':
      return openPair({ meta: file, data: await other(file, 'data', beside) })
    case 'sigmf-data':
      return openPair({ meta: await other(file, 'meta', beside), data: file })
    default:
      throw badRecording(file.name, 'file', message('recording.unknownKind'))
  }
}

const openPair = ({ meta, data }: { meta: ByteSource; data: ByteSource }) => openSigmf(meta, data)

async function other(
  file: ByteSource,
  half: 'meta' | 'data',
  beside: (name: string) => Promise<ByteSource | null>,
): Promise<ByteSource> {
  const name = file.name.replace(/(meta|data)$/i, half)
  const named = half === 'data' ? await datasetIn(file) : null
  const found = await beside(named ?? name)
  if (!found)
    throw badRecording(
      file.name,
      half === 'meta' ? 'metadata' : 'data',
      message('recording.otherHalfMissing', { named: named ?? name }),
    )
  return found
}

/**
 * The data file that the metadata names, if it names one; what it says otherwise is checked when it is
 * opened.
 */
async function datasetIn(meta: ByteSource): Promise<string | null> {
  try {
    const parsed = JSON.parse(new TextDecoder().decode(await meta.read(0, meta.size))) as {
      global?: { 'core:dataset'?: unknown }
    } | null
    const named = parsed?.global?.['core:dataset']
    return typeof named === 'string' && named !== '' && !/[\\/]/.test(named) && !named.startsWith('.')
      ? named
      : null
  } catch {
    return null
  }
}
