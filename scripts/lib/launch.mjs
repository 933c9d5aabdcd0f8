import { join } from 'node:path'
import { dataFolder, markFolder } from './dataFolder.mjs'
import { claim, startHouse } from './house.mjs'
import { backupFolder, keepBackups, nowAndThen } from './nightly.mjs'
import { binFolder, binFor, clusterVersion, versionOf } from './pgPrograms.mjs'
import { archiveFolder, keepCopies, wasArchived } from './walArchive.mjs'

const PREFERRED_PORT = 3127

/** What `npm run demo` and `npm start` share: claim the folder, start, say the address, end on Ctrl-C. */
export async function launch({ demo }) {
  const folder = dataFolder(demo)
  refuseOther(folder, demo)
  const claimed = claim(folder)
  refuseSecond(claimed)
  const backups = demo ? null : backupFolder(folder)
  let house = null
  const stopKeeping = []
  let ending = false
  const end = async code => {
    if (ending) return
    ending = true
    for (const stop of stopKeeping) stop()
    if (house) await house.stop()
    claimed.release()
    process.exit(code)
  }
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void end(0))
  try {
    const archive = demo ? null : archiveWanted(folder)
    house = await startHouse({
      folder,
      demo,
      archive,
      onChildren: pids => claimed.tell(house?.address ?? null, pids),
      preferredPort: Number(process.env.PORT ?? PREFERRED_PORT),
      settings: backups ? { DIAPASON_BACKUPS_IN: backups } : {},
      onDeath: (name, code, reason) => {
        const log = join(folder, 'logs', `${name}.log`)
        console.error(
          `The process "${name}" keeps ending by itself (${code}); see ${log}${reason ? `\n${reason}` : ''}`,
        )
        void end(1)
      },
    })
    if (ending) return void house.stop()
    claimed.tell(house.address, house.children.pids())
    const say = words => console.error(words)
    if (backups) stopKeeping.push(keepBackups(folder, backups, say))
    stopKeeping.push(keepArchive(folder, archive, house.cluster, say))
    console.log(
      `\nDiapason${demo ? ' with demo data and the simulated bench' : ''}: ${house.address}\n` +
        (await forOthers(house.forOthers)) +
        `Everything is kept in ${folder}.\n${upgradeHint(folder)}Ctrl-C stops it.`,
    )
  } catch (error) {
    console.error(error instanceof Error ? error.message : error)
    await end(1)
  }
}

/** Where the log of the database goes; that it went somewhere and goes nowhere now is said. */
function archiveWanted(folder) {
  const archive = archiveFolder()
  if (!archive && wasArchived(join(folder, 'pg')))
    console.error('The log of the database is not archived any more: DIAPASON_WAL_ARCHIVE is not set.')
  return archive
}

/** Copies that the archived log begins from, where one is wanted. @returns ends it */
function keepArchive(folder, archive, cluster, say) {
  if (archive === null) return () => {}
  if (cluster === null) {
    say('DIAPASON_WAL_ARCHIVE is not used: with a DATABASE_URL, archiving is a matter of that server.')
    return () => {}
  }
  const data = join(folder, 'pg')
  return nowAndThen('A copy of the database for the archive', say, () =>
    keepCopies(binFor(data), data, archive, cluster.adminUrl),
  )
}

/** A tablet reads the first of them from the screen. */
async function forOthers([first, ...more]) {
  if (!first) return ''
  const { renderUnicodeCompact } = await import('uqr')
  const also = more.length > 0 ? ` (or ${more.join(', ')})` : ''
  return `For tablets and other machines: ${first}${also}\n${renderUnicodeCompact(first)}\n`
}

/** The version that made a database goes on serving it, until it is taken over on purpose. */
function upgradeHint(folder) {
  const [made, newest] = [clusterVersion(join(folder, 'pg')), versionOf(binFolder() ?? '')]
  if (process.env.DATABASE_URL || !made || made === newest) return ''
  return `PostgreSQL ${made} made its database, ${newest} is installed too: npm run upgrade takes it over.\n`
}

function refuseOther(folder, demo) {
  try {
    markFolder(folder, demo)
  } catch (error) {
    console.error(error.message)
    process.exit(1)
  }
}

function refuseSecond({ running }) {
  if (!running) return
  console.error(
    `Diapason already runs here: ${running.address ?? 'it is starting'} (process ${running.pid}). ` +
      'Stop that one first.',
  )
  process.exit(1)
}
