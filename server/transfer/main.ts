import { readLanguageFrom } from '#shared/i18n'
import { provideEveryLanguage } from '#shared/i18n/everyLanguage'
import { terminalLanguage } from '#shared/i18n/terminal'
import { refuseOtherSchema } from '../check/refuseOtherSchema'
import { pool } from '../db/pool'
import { ArchiveError } from './archive'
import { exportWorkshop } from './exportWorkshop'
import { importRecords, type RecordsReport } from './importRecords'
import { importWorkshop, type ImportReport } from './importWorkshop'

provideEveryLanguage()
// Notes that an old record brings with it are read by people of this workshop.
const spoken = terminalLanguage(process.env)
readLanguageFrom(() => spoken)
await refuseOtherSchema()

/** What `npm run export` and `npm run import` do and say: an archive unpacked in a folder, or a table. */
const [work = '', path = '', yes] = process.argv.slice(2)
const really = yes === '--yes'
const isDemo = process.env.DIAPASON_DEMO === '1'
const say = (line: string) => process.stdout.write(`${line}\n`)
try {
  if (work === 'export') {
    const { jobs, entries } = await exportWorkshop(path, isDemo)
    say(`${jobs.length} jobs, ${entries} entries, with everything that belongs to them.`)
  } else if (work === 'records') tellRecords(await importRecords(path, really))
  else tell(await importWorkshop(path, { really, isDemo }))
} catch (error) {
  process.exitCode = 1
  say(
    error instanceof ArchiveError
      ? error.message
      : `Not done: ${error instanceof Error ? error.message : ''}`,
  )
  say('Nothing was changed.')
}
await pool.end()

function tell({ jobs, said }: ImportReport): void {
  for (const { remarks } of jobs) remarks.forEach(say)
  said.forEach(say)
  const of = (kind: ImportReport['jobs'][number]['kind']) => jobs.filter(j => j.kind === kind).length
  const sum = (field: 'entries' | 'files') => jobs.reduce((total, job) => total + job[field], 0)
  say(
    `${of('new')} jobs are new, ${of('grown')} go on, ${of('same')} are as they are here, ` +
      `${of('apart')} went on on both sides, ${of('refused')} were not taken in; ` +
      `${sum('entries')} entries, ${sum('files')} files and papers.`,
  )
  sayEnd()
}

function tellRecords({ said, taken, here, problems }: RecordsReport): void {
  said.forEach(say)
  if (problems.length > 0) say('Not taken in, with every row of the same visit:')
  problems.forEach(say)
  say(`${taken} visits are new, ${here} are here already, ${problems.length} problems.`)
  sayEnd()
}

function sayEnd(): void {
  say(
    really
      ? 'Taken in. npm run check goes through everything.'
      : 'Nothing was changed. To do it: the same with --yes',
  )
}
