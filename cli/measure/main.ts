import { basename, dirname, join } from 'node:path'
import { existsSync } from 'node:fs'
import { CoreError } from '#core/errors'
import { openRecording } from '#core/recording'
import { measureRecording } from '#core/signal'
import { parseArguments, USAGE } from './arguments'
import { fileSource } from './fileSource'
import { measurementLines } from './words'

const BAD_INPUT = 2

/** Numbers that JSON cannot write are no numbers. */
const plain = (_key: string, value: unknown) =>
  typeof value === 'number' && !Number.isFinite(value) ? null : value

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
    `${json ? JSON.stringify(measurement, plain, 2) : measurementLines(measurement).join('\n')}\n`,
  )
}

main().catch((error: unknown) => {
  const words = error instanceof CoreError || error instanceof Error ? error.message : String(error)
  process.stderr.write(`${words.replace(/\s*\n\s*/g, ' ')}\n`)
  process.exitCode = BAD_INPUT
})
