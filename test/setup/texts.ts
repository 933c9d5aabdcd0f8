import { expect } from 'vitest'
import { CoreError } from '../../core/errors'
import { provideEveryLanguage } from '../../shared/i18n/everyLanguage'
import { errorWords } from '../../shared/words/messageWords'

declare module 'vitest' {
  // As vitest has it.
  // eslint-disable-next-line @typescript-eslint/no-explicit-any, @typescript-eslint/no-unused-vars
  interface Matchers<T = any> {
    /** A refusal of core: what its reader is told in English. */
    toThrowSaying: (words: RegExp | string) => void
  }
}

/** Words are asked for in nearly every test; they are English where none says otherwise. */
provideEveryLanguage()

expect.extend({
  toThrowSaying(received: unknown, words: RegExp | string) {
    const thrown = typeof received === 'function' ? thrownBy(received as () => unknown) : received
    const said = thrown instanceof CoreError ? errorWords(thrown) : String(thrown)
    const pass =
      thrown instanceof CoreError && (typeof words === 'string' ? said.includes(words) : words.test(said))
    return { pass, message: () => `expected a refusal saying ${String(words)}, got: ${said}` }
  },
})

function thrownBy(work: () => unknown): unknown {
  try {
    work()
    return null
  } catch (error) {
    return error
  }
}
