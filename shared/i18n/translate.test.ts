import { describe, expect, it, vi } from 'vitest'

vi.mock('intl-messageformat', () => ({
  IntlMessageFormat: function () {
    throw new Error('a browser has no parser')
  },
}))

/** As a page has it: the setup of the tests loaded another one before. */
async function inBrowser() {
  vi.resetModules()
  const { provideTexts, t } = await import('./translate')
  provideTexts('en', { 'item.stillRunning': 'still running', 'item.waitingFor': 'waiting for {list}' })
  return t
}

describe('a message', () => {
  it('that takes nothing needs no parser, whatever it is given', async () => {
    const t = await inBrowser()
    expect(t('item.stillRunning')).toBe('still running')
    expect(t('item.stillRunning', {})).toBe('still running')
    expect(t('item.stillRunning', { hours: 3 })).toBe('still running')
  })
  it('that takes something is formatted', async () => {
    const t = await inBrowser()
    expect(() => t('item.waitingFor', { list: 'A1.3' })).toThrow('no parser')
  })
})
