import { message } from '../message'
import type { ByteSource } from './byteSource'
import { badRecording, type Recording } from './recording'

/** What was found in a table of an oscilloscope, to be confirmed before it is measured. */
export interface ScopePreview {
  readonly separator: string
  readonly headerLines: readonly string[]
  readonly columns: readonly string[]
  readonly timeColumn: number
  /** one or two columns of voltage */
  readonly valueColumns: readonly number[]
  readonly timeUnitS: number
  readonly valueUnitsV: readonly number[]
  readonly firstRows: readonly (readonly string[])[]
  readonly sampleRateHz: number
}

const MAX_BYTES = 256 * 1024 * 1024
const MAX_HEADER_LINES = 200
const LOOKED_AT = 50
const PREFIXES: Readonly<Record<string, number>> = {
  '': 1,
  'm': 1e-3,
  'u': 1e-6,
  '\u00b5': 1e-6,
  '\u03bc': 1e-6,
  'n': 1e-9,
  'p': 1e-12,
  'k': 1e3,
}
/** Steps between samples may differ by this much of one step: tables are rounded. */
const UNEVEN = 0.35

const numberIn = (text: string, comma: boolean) =>
  text.trim() === '' ? Number.NaN : Number(comma ? text.trim().replace(',', '.') : text.trim())

/**
 * Finds separator, header, units and columns of a table by itself.
 * @throws {CoreError} bad-recording: no table of time and voltage
 */
export async function previewScopeCsv(source: ByteSource): Promise<ScopePreview> {
  return previewOf(source.name, await linesOf(source, 64 * 1024), false)
}

/** Nobody samples sound that fast. */
function ofOneColumn(kind: 'audio' | 'real' | 'auto', sampleRateHz: number): 'audio' | 'real' {
  if (kind !== 'auto') return kind
  return sampleRateHz > 200_000 ? 'real' : 'audio'
}

/** A recording from such a table. Volts are kept as they are: full scale is 1 V. */
export async function openScopeCsv(
  source: ByteSource,
  preview?: ScopePreview,
  kind: 'audio' | 'real' | 'auto' = 'auto',
): Promise<Recording> {
  if (source.size > MAX_BYTES) throw badRecording(source.name, 'data', message('recording.tableTooLarge'))
  const lines = await linesOf(source, source.size)
  const found = preview ?? previewOf(source.name, lines, true)
  const { times, values } = columnsOf(source.name, lines, found)
  const sampleRateHz = rateOf(source.name, times)
  const complex = values.length === 2
  const none = new Float32Array(0)
  return {
    file: source.name,
    format: 'csv',
    kind: complex ? 'iq' : ofOneColumn(kind, sampleRateHz),
    datatype: complex ? 'cf32' : 'rf32',
    sampleRateHz,
    sampleCount: values[0]!.length,
    centreHz: null,
    steps: null,
    annotations: [],
    notes: [{ code: 'no-centre-frequency', says: message('recording.noFrequencyInTable') }],
    read: async (from, count) => ({
      i: values[0]!.subarray(from, from + count),
      q: complex ? values[1]!.subarray(from, from + count) : none,
    }),
  }
}

async function linesOf(source: ByteSource, bytes: number): Promise<string[]> {
  const text = new TextDecoder('utf-8').decode(await source.read(0, Math.min(bytes, source.size)))
  if (text.includes('\u0000')) throw badRecording(source.name, 'data', message('recording.notText'))
  return text.replace(/^\ufeff/, '').split(/\r\n|\n|\r/)
}

function previewOf(file: string, lines: readonly string[], whole: boolean): ScopePreview {
  for (const separator of [';', '\t', ',', ' ']) {
    const comma =
      separator !== ',' &&
      lines.slice(0, MAX_HEADER_LINES).some(l => /\d,\d/.test(l)) &&
      !lines.slice(0, MAX_HEADER_LINES).some(l => /\d\.\d/.test(l))
    const cells = (line: string) => line.split(separator)
    const isRow = (line: string) =>
      cells(line).length >= 2 &&
      cells(line)
        .slice(0, 2)
        .every(c => Number.isFinite(numberIn(c, comma)))
    const first = lines
      .slice(0, MAX_HEADER_LINES)
      .findIndex((line, i) => isRow(line) && isRow(lines[i + 1] ?? '') && isRow(lines[i + 2] ?? ''))
    if (first < 0) continue
    const headerLines = lines.slice(0, first)
    const names = cells(headerLines.at(-1) ?? '')
    const units =
      headerLines.length > 1 && names.every(n => /^[\s()[\]a-zA-Z\u00b5\u03bc]{0,6}$/.test(n)) ? names : []
    const width = cells(lines[first]!).filter(c => c.trim() !== '').length
    const titles = (units.length > 0 ? cells(headerLines.at(-2)!) : names).map(t => t.trim())
    const times = lines
      .slice(first, first + LOOKED_AT)
      .filter(isRow)
      .map(l => numberIn(cells(l)[0]!, comma))
    const timeUnitS = unitOf(`${titles[0] ?? ''} ${units[0] ?? ''}`, 's')
    return {
      separator,
      headerLines,
      columns: titles.length >= 2 ? titles : ['time', 'channel 1', 'channel 2'].slice(0, width),
      timeColumn: 0,
      valueColumns:
        width >= 3 &&
        lines.slice(first, first + 3).every(l => Number.isFinite(numberIn(cells(l)[2] ?? '', comma)))
          ? [1, 2]
          : [1],
      timeUnitS,
      valueUnitsV: [1, 2].map(c => unitOf(`${titles[c] ?? ''} ${units[c] ?? ''}`, 'V')),
      firstRows: lines.slice(first, first + 5).map(cells),
      sampleRateHz: (times.length - 1) / ((times.at(-1)! - times[0]!) * timeUnitS),
    }
  }
  throw badRecording(
    file,
    'data',
    whole || lines.length < 5 ? message('recording.noRows') : message('recording.noRowsAtBeginning'),
  )
}

/** "Time (ms)", "CH1 [mV]", "Volt": the unit in a title or in the line below it. */
function unitOf(title: string, base: string): number {
  const match = new RegExp(`(?:^|[\\s([])(m|u|\u00b5|\u03bc|n|p|k)?${base}(?:$|[\\s)\\]])`).exec(title)
  return match ? (PREFIXES[match[1] ?? ''] ?? 1) : 1
}

function columnsOf(
  file: string,
  lines: readonly string[],
  p: ScopePreview,
): { times: Float64Array; values: Float32Array[] } {
  const rows = lines.slice(p.headerLines.length).filter(l => l.trim() !== '')
  const comma =
    p.separator !== ',' &&
    !rows.slice(0, 5).some(l => /\d\.\d/.test(l)) &&
    rows.slice(0, 5).some(l => /\d,\d/.test(l))
  const times = new Float64Array(rows.length)
  const values = p.valueColumns.map(() => new Float32Array(rows.length))
  rows.forEach((line, n) => {
    const cells = line.split(p.separator)
    times[n] = numberIn(cells[p.timeColumn] ?? '', comma) * p.timeUnitS
    p.valueColumns.forEach((c, k) => (values[k]![n] = numberIn(cells[c] ?? '', comma) * p.valueUnitsV[k]!))
    if (!Number.isFinite(times[n]!) || values.some(v => !Number.isFinite(v[n]!)))
      throw badRecording(
        file,
        message('recording.line', { count: p.headerLines.length + n + 1 }),
        message('recording.notARow', { line: line.slice(0, 40) }),
      )
  })
  return { times, values }
}

function rateOf(file: string, times: Float64Array): number {
  const step = (times.at(-1)! - times[0]!) / (times.length - 1)
  if (times.length < 16 || !(step > 0))
    throw badRecording(
      file,
      'time',
      times.length < 16
        ? message('recording.tooFewRows', { count: times.length })
        : message('recording.timeBackward'),
    )
  for (let n = 1; n < times.length; n++) {
    if (Math.abs(times[n]! - times[n - 1]! - step) > Math.max(UNEVEN * step, 2e-6 * Math.abs(times[n]!)))
      throw badRecording(file, 'time', message('recording.unevenStep', { n }))
  }
  return 1 / step
}
