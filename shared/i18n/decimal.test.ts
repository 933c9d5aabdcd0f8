import { afterEach, describe, expect, it } from 'vitest'
import { message } from '#core/message'
import { readDecimalSignFrom } from '#core/quantity'
import { t } from '#shared/i18n'
import { messageWords } from '#shared/words/messageWords'
import { decimalSignOf } from './decimal'

afterEach(() => readDecimalSignFrom(() => '.'))

describe('the decimal sign', () => {
  it('is that of the language until one was chosen', () => {
    expect([decimalSignOf(null, 'en'), decimalSignOf(undefined, 'es')]).toEqual(['.', ','])
    expect([decimalSignOf(',', 'en'), decimalSignOf('.', 'es')]).toEqual([',', '.'])
    expect(decimalSignOf('x', 'es')).toBe(',')
  })
  it('holds for numbers that a message takes and for those that core wrote', () => {
    readDecimalSignFrom(() => ',')
    expect(t('figure.timeConstantS', { tauS: 2.5 })).toContain('2,5')
    expect(messageWords(message('figure.foundCarrier', { dbfs: '-3.5' }))).toBe('carrier, -3,5 dBFS')
    expect(messageWords(message('figure.foundSideband', { sideband: 'A1.3' }))).toBe('A1.3')
  })
})
