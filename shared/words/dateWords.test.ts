import { afterEach, describe, expect, it } from 'vitest'
import { readLanguageFrom } from '#shared/i18n'
import { clockSeconds, countWords, day, dayAndTime, dayMonthYear, localDay } from './dateWords'

const AT_MS = new Date('2026-11-30T13:05:09').getTime()

describe('today', () => {
  const zone = process.env.TZ
  afterEach(() => {
    if (zone === undefined) delete process.env.TZ
    else process.env.TZ = zone
  })
  it('is the day of the workshop, not of Greenwich', () => {
    const at = Date.UTC(2026, 10, 30, 1, 30)
    process.env.TZ = 'America/Mexico_City'
    expect(localDay(at)).toBe('2026-11-29')
    process.env.TZ = 'Europe/Madrid'
    expect(localDay(at)).toBe('2026-11-30')
    expect(localDay(Date.UTC(2026, 10, 29, 23, 30))).toBe('2026-11-30')
  })
})

describe('days and times', () => {
  afterEach(() => readLanguageFrom(() => 'en'))

  it('are written in English', () => {
    expect([
      day('2026-11-30'),
      day(null),
      dayAndTime(AT_MS),
      clockSeconds(AT_MS),
      countWords(12_345),
    ]).toEqual(['Mon 30 Nov', 'no due date', '30 Nov 2026, 13:05', '13:05:09', '12\u2009345'])
  })
  it('are written in Spanish', () => {
    readLanguageFrom(() => 'es')
    expect([day('2026-11-30'), day(null), dayMonthYear(AT_MS), countWords(12_345)]).toEqual([
      'lun 30 nov',
      'sin fecha de entrega',
      '30 nov 2026',
      '12\u2009345',
    ])
  })
})
