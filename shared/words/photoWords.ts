import { translated, t } from '#shared/i18n'
import type { JobEvent } from '#core/run'
import type { ModelSheet } from '#core/sheet'
import { inspection, workLog } from '#core/work'
import { workEntryWords } from './workLogWords'

/**
 * What a photo shows, by what it was taken at: "item:" of the inspection, "work:" of the log of the work.
 * Anything else stands as somebody wrote it.
 * @param events that count
 */
export function photoAboutWords(about: string, sheet: ModelSheet, events: readonly JobEvent[]): string {
  const [kind, id] = about.split(/:(.*)/s)
  if (about === 'positions') return t('job.startingPositions')
  if (kind === 'item') {
    const item = inspection(sheet, events).find(i => i.item.id === id)?.item
    return item ? translated(item.lookFor) : ''
  }
  if (kind !== 'work') return about
  const entry = workLog(events).find(e => e.event.id === id)
  if (!entry) return ''
  const { label, about: what } = workEntryWords(entry)
  return `${label}: ${what}`
}
