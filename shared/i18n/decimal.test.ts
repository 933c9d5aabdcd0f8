import { afterEach, describe, expect, it } from 'vitest'
import { message } from '#core/message'
import { readDecimalSignFrom } from '#core/quantity'
import esTrade from '#i18n/es/trade'
import { readLanguageFrom, t, translated, withTextsTranslated, type Language } from '#shared/i18n'
import { messageWords } from '#shared/words/messageWords'
import { decimalSignOf, hasDecimal, inSign } from './decimal'
import { EVERY_LANGUAGE } from './everyLanguage'

afterEach(() => {
  readDecimalSignFrom(() => '.')
  readLanguageFrom(() => 'en')
})
const speaking = (language: Language, sign: '.' | ',') => {
  readLanguageFrom(() => language)
  readDecimalSignFrom(() => sign)
}

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

describe('a sentence of ours', () => {
  it.each([
    ['Set 13.8 V, then 0.25 \u00b5V.', 'Set 13,8 V, then 0,25 \u00b5V.'],
    ['crystal 13.045 625 MHz', 'crystal 13,045 625 MHz'],
    ['step A1.5 before 3.8 W', 'step A1.5 before 3,8 W'],
    ['47 CFR 95.963, 4.0 W', '47 CFR 95.963, 4,0 W'],
    ['on 27.11.2026, version 1.2.3', 'on 27.11.2026, version 1.2.3'],
    ['channels 1, 20, 40.', 'channels 1, 20, 40.'],
  ])('"%s" with a comma', (text, shown) => {
    expect(inSign(text, 'en')).toBe(text)
    readDecimalSignFrom(() => ',')
    expect(inSign(text, 'en')).toBe(shown)
  })
  it('of the catalogue follows the choice, in both languages', () => {
    speaking('en', ',')
    expect(t('figure.twoCleanEqualTones30')).toContain('3,0 dB')
    expect(t('note.noToneAm', {})).toContain('exceeded 0,1 and')
    speaking('es', '.')
    expect(t('figure.twoCleanEqualTones30')).toContain('3.0 dB')
    speaking('en', '.')
    expect(t('note.noToneAm', {})).toContain('exceeded 0.1 and')
  })
  it('of a shipped sheet follows it too, what people typed never does', () => {
    const shipped = Object.keys(esTrade).find(hasDecimal)!
    speaking('en', ',')
    expect(translated(shipped)).toBe(inSign(shipped, 'en'))
    expect(translated(shipped)).not.toBe(shipped)
    expect(withTextsTranslated({ title: shipped, why: 'typed: 3.8 W' })).toEqual({
      title: inSign(shipped, 'en'),
      why: 'typed: 3.8 W',
    })
    speaking('es', '.')
    expect(translated(shipped)).toBe(inSign(esTrade[shipped as keyof typeof esTrade], 'es'))
  })
  it('has the same decimal numbers in both languages', () => {
    const numbers = (text: string) =>
      (text.match(/(?<![\w.,])\d+[.,]\d+(?!\w*[.,]\d)/g) ?? []).map(n => n.replace('.', ',')).toSorted()
    const pairs = [
      ...Object.entries(esTrade),
      ...Object.entries(EVERY_LANGUAGE.en).map(([code, text]) => [text, EVERY_LANGUAGE.es[code]!]),
    ]
    expect(pairs.filter(([en, es]) => String(numbers(en!)) !== String(numbers(es!)))).toEqual([])
  })
})
