import { numberForField, withDecimalSign } from '#core/quantity'
import { t } from '#shared/i18n'
import { messageWords } from '#shared/words/messageWords'
import type { Measurement } from '#core/signal'

type Figures = Readonly<Record<string, unknown>>

/** Figures as lines for whoever reads them on a terminal, each with its standard uncertainty. */
export function measurementLines(m: Measurement): string[] {
  const groups = ['carrier', 'am', 'fm', 'ssb', 'audio', 'spectrum'] as const
  return [
    heading(m),
    m.signalPresent ? t('command.signal', { mode: m.mode }) : t('command.noSignal'),
    ...groups.flatMap(g =>
      m[g]
        ? linesOf(g, m[g] as unknown as Figures, group(m.uncertainty, g), group(m.limitedBy ?? {}, g))
        : [],
    ),
    ...linesOf('health', m.health as unknown as Figures, {}, {}),
    ...m.notes.map(n => t('command.note', { code: n.code, words: messageWords(n.says) })),
  ]
}

function heading({ file, format, durationS, sampleRateHz, centreHz }: Measurement): string {
  const tuned = centreHz === null ? '' : t('command.tuned', { centreHz })
  return t('command.heading', {
    file,
    format,
    durationS: withDecimalSign(durationS.toFixed(3)),
    rateHz: sampleRateHz,
    tuned,
  })
}

const group = (groups: object, name: string) =>
  (groups as Readonly<Record<string, Figures | undefined>>)[name] ?? {}

function linesOf(prefix: string, figures: Figures, uncertainty: Figures, limitedBy: Figures): string[] {
  return Object.entries(figures).flatMap(([name, value]) => {
    const path = `${prefix}.${name}`
    if (value === null || value === undefined) return []
    if (Array.isArray(value))
      return value.length === 0
        ? []
        : [
            `${path.padEnd(32)} ${value.map(v => (typeof v === 'number' ? shown(v) : JSON.stringify(v))).join('  ')}`,
          ]
    if (typeof value === 'object') return linesOf(path, value as Figures, {}, {})
    const u = uncertainty[name]
    const limit = typeof limitedBy[name] === 'string' ? ` (${limitedBy[name]})` : ''
    const bound = typeof u === 'number' && u > 0 ? ` +/- ${withDecimalSign(u.toPrecision(2))}${limit}` : ''
    return [`${path.padEnd(32)} ${typeof value === 'number' ? shown(value) : String(value)}${bound}`]
  })
}

const shown = (v: number) => numberForField(v, Number.isInteger(v) ? 16 : 9)
