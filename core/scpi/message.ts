/** One command of a program message: header and its parameters as text. */
export interface ScpiCommand {
  readonly header: string
  readonly parameters: readonly string[]
  readonly query: boolean
}

/** Errors that an instrument queues. Source: SCPI-99 vol. 2, 21.8 (from memory). */
export const SCPI_ERRORS = {
  'none': '0,"No error"',
  'syntax': '-102,"Syntax error"',
  'undefined-header': '-113,"Undefined header"',
  'parameter-not-allowed': '-108,"Parameter not allowed"',
  'missing-parameter': '-109,"Missing parameter"',
  'numeric': '-121,"Invalid character in number"',
  'out-of-range': '-222,"Data out of range"',
  'illegal-value': '-224,"Illegal parameter value"',
  'queue-overflow': '-350,"Queue overflow"',
  'overrun': '-363,"Input buffer overrun"',
  'interrupted': '-410,"Query INTERRUPTED"',
} as const
export type ScpiErrorCode = keyof typeof SCPI_ERRORS

const HEADER = /^(?:\*[A-Za-z]{2,4}\??|:?[A-Za-z]\w*(?::[A-Za-z]\w*)*\??)$/

/**
 * Splits a program message at its semicolons.
 *
 * After a semicolon a header without a colon in front goes on in the subsystem of the one before
 * ("MEAS:POW?;FREQ?" asks MEAS:FREQ? too) or stands alone; both readings are given, the instrument takes the
 * one that it knows.
 * @returns commands, each with its readings in the order to be tried; 'syntax' where nothing can be made of a
 * part
 */
export function scpiCommands(line: string): ({ readonly readings: readonly ScpiCommand[] } | 'syntax')[] {
  let path = ''
  return splitOutsideQuotes(line, ';')
    .map(part => part.trim())
    .filter(Boolean)
    .map(part => {
      const [, head, rest] = /^(\S+)\s*([^]*)$/.exec(part)!
      if (!HEADER.test(head!)) return 'syntax' as const
      const parameters = rest!.trim() === '' ? [] : splitOutsideQuotes(rest!, ',').map(p => p.trim())
      const query = head!.endsWith('?')
      const command = (header: string): ScpiCommand => ({ header, parameters, query })
      if (head!.startsWith('*')) return { readings: [command(head!)] }
      const absolute = head!.replace(/^:/, '')
      const readings =
        head!.startsWith(':') || path === ''
          ? [command(absolute)]
          : [command(absolute), command(`${path}:${absolute}`)]
      if (absolute.includes(':')) path = absolute.slice(0, absolute.lastIndexOf(':'))
      else if (head!.startsWith(':')) path = ''
      return { readings }
    })
}

/** Commas inside quotes or brackets belong to their parameter. */
function splitOutsideQuotes(text: string, at: string): string[] {
  const out: string[] = []
  let depth = 0
  let quote = ''
  let from = 0
  for (let i = 0; i < text.length; i++) {
    const c = text[i]!
    if (quote) quote = c === quote ? '' : quote
    else if (c === '"' || c === "'") quote = c
    else if (c === '(') depth++
    else if (c === ')') depth--
    else if (c === at && depth <= 0) {
      out.push(text.slice(from, i))
      from = i + 1
    }
  }
  return [...out, text.slice(from)]
}

const NUMBER = /^([+-]?(?:\d+\.?\d*|\.\d+)(?:[eE][+-]?\d{1,3})?)\s*([A-Za-z]*)$/
const UNITS: Readonly<Record<string, number>> = {
  '': 1,
  'HZ': 1,
  'KHZ': 1e3,
  'MHZ': 1e6,
  'V': 1,
  'MV': 1e-3,
  'UV': 1e-6,
  'A': 1,
  'MA': 1e-3,
  'S': 1,
  'W': 1,
  'DB': 1,
  'PCT': 0.01,
}

/** A decimal parameter with an optional unit, e.g. "30 mV". @returns null when it is none */
export function scpiDecimal(text: string): number | null {
  const [, digits, unit] = NUMBER.exec(text.trim()) ?? []
  const factor = digits === undefined ? undefined : UNITS[unit!.toUpperCase()]
  const value = factor === undefined ? NaN : Number(digits) * factor
  return Number.isFinite(value) ? value : null
}

/** ON, OFF, 1, 0. @returns null when it is none */
export function scpiBoolean(text: string): boolean | null {
  if (/^(on|1)$/i.test(text)) return true
  return /^(off|0)$/i.test(text) ? false : null
}

/** Number of a channel list, "(@2)". @returns null when it is none */
export function scpiChannel(text: string): number | null {
  const [, n] = /^\(@(\d{1,3})\)$/.exec(text.trim()) ?? []
  return n === undefined ? null : Number(n)
}

/** The longest block that is taken from an instrument [bytes]. */
export const MAX_BLOCK_BYTES = 4_000_000

/**
 * Head of a definite-length block.
 * @returns null = more bytes are needed; 'none' = it is no block. Source: IEEE 488.2, 8.7.9 (from memory):
 * #<digits><length><bytes>.
 */
export function blockHead(text: string): { readonly from: number; readonly length: number } | null | 'none' {
  if (!text.startsWith('#')) return 'none'
  if (text.length < 2) return null
  const digits = Number(text[1])
  if (!(digits >= 1 && digits <= 9)) return 'none'
  if (text.length < 2 + digits) return null
  const length = Number(text.slice(2, 2 + digits))
  return Number.isInteger(length) && /^\d+$/.test(text.slice(2, 2 + digits)) && length <= MAX_BLOCK_BYTES
    ? { from: 2 + digits, length }
    : 'none'
}

/** Head of a block of that many bytes. */
export function writeBlockHead(length: number): string {
  const digits = String(length)
  return `#${digits.length}${digits}`
}
