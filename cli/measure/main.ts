import { readDecimalSignFrom } from '#core/quantity'
import { basename, dirname, join } from 'node:path'
import { existsSync } from 'node:fs'
import { openRecording } from '#core/recording'
import { measureRecording, type Measurement } from '#core/signal'
import { readLanguageFrom, decimalSignOf } from '#shared/i18n'
import { provideEveryLanguage } from '#shared/i18n/everyLanguage'
import { terminalLanguage } from '#shared/i18n/terminal'
import { errorWords, messageWords } from '#shared/words/messageWords'
import { parseArguments, USAGE } from './arguments'
import { fileSource } from './fileSource'
import { measurementLines } from './words'

const BAD_INPUT = 2

provideEveryLanguage()
const spoken = terminalLanguage(process.env)
readLanguageFrom(() => spoken)
readDecimalSignFrom(() => decimalSignOf(null, spoken))

/** Numbers that JSON cannot write are no numbers. */
const plain = (_key: string, value: unknown) =>
  typeof value === 'number' && !Number.isFinite(value) ? null : value

/** Notes as documented: a code, and words in the language of the terminal. */
const worded = (m: Measurement) => ({
  ...m,
  notes: m.notes.map(({ code, says }) => ({ code, words: messageWords(says) })),
})

async function main(): Promise<void> {
  if (process.argv.includes('--help')) {
    process.stdout.write(`${USAGE}\n`)
    return
  }
  const { file, json, monoIs, options } = parseArguments(process.argv.slice(2))
  const beside = async (name: string) => {
    const path = join(dirname(file), basename(name))
    return existsSync(path) ? fileSource(path) : null
  }
  const recording = await openRecording(fileSource(file), beside, monoIs ? { monoIs } : {})
  const { measurement } = await measureRecording(recording, options)
  process.stdout.write(
    `${json ? JSON.stringify(worded(measurement), plain, 2) : measurementLines(measurement).join('\n')}\n`,
  )
}

main().catch((error: unknown) => {
  process.stderr.write(`${errorWords(error).replace(/\s*\n\s*/g, ' ')}\n`)
  process.exitCode = BAD_INPUT
})
