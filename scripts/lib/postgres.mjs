import {
  closeSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  openSync,
  readFileSync,
  readdirSync,
  rmSync,
  writeFileSync,
} from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { own, ownWhole, pgCtl, runAsServer } from './asServer.mjs'
import { admitApplication, writeAccess } from './clusterAccess.mjs'
import { binFor, clustersAside, ensurePostgres, refuseOtherVersion } from './pgPrograms.mjs'
import { freePort } from './ports.mjs'
import { setArchive } from './walArchive.mjs'

/**
 * A private cluster in a folder, started on loopback on a free port.
 * @param folder e.g. .data; gets pg/ and pg.log
 * @param throwAway true: no fsync, for tests only
 * @param isRestore true: a place that an unfinished restore left may be used
 * @param archive folder in which every change is kept too; null = nowhere, undefined = as it was
 * @returns {{ adminUrl: string, port: number, admit: () => Promise<string>, stop: () => Promise<void>,
 *   startAgain: () => Promise<void> }} admit() lets the application in, once there are tables
 */
export async function startCluster(folder, { throwAway = false, isRestore = false, archive } = {}) {
  if (!isRestore && existsSync(join(folder, 'pg.restoring')))
    throw new Error(
      `A restore into ${folder} did not end: what is there is not the whole backup. Nothing was changed. ` +
        'Run the restore again; it begins anew.',
    )
  await ensurePostgres()
  const data = join(folder, 'pg')
  const bin = binFor(data)
  mkdirSync(folder, { recursive: true })
  await initialise(bin, folder, data)
  await stopLeftover(bin, data)
  writeAccess(data, own)
  if (archive !== undefined) await setArchive(bin, data, archive)
  const port = await freePort()
  const socket = mkdtempSync(join(tmpdir(), 'dpn-'))
  own(socket)
  const log = join(folder, 'pg.log')
  closeSync(openSync(log, 'a'))
  own(log)
  const options = optionsOf(port, socket, throwAway)
  // A restore plays the log of weeks before it answers.
  const withinS = isRestore ? '86400' : '60'
  const start = () => pgCtl(bin, ['-D', data, '-l', log, '-w', '-t', withinS, '-o', options, 'start'])
  await start()
  const adminUrl = adminUrlOf(socket, port)
  let isWanted = true
  return {
    adminUrl,
    port,
    admit: () => admitApplication(adminUrl, port),
    /** started and not stopped on purpose, and all the same not there */
    isLost: () => isWanted && !isServing(data),
    stop: async () => {
      isWanted = false
      await runAsServer(join(bin, 'pg_ctl'), ['-D', data, '-m', 'fast', '-w', 'stop'], { allowFailure: true })
      rmSync(socket, { recursive: true, force: true })
    },
    halt: () => {
      isWanted = false
      return runAsServer(join(bin, 'pg_ctl'), ['-D', data, '-m', 'immediate', '-w', 'stop'], {
        allowFailure: true,
      })
    },
    startAgain: async () => {
      await start()
      isWanted = true
    },
  }
}

const optionsOf = (port, socket, throwAway) =>
  `-p ${port} -c listen_addresses=127.0.0.1 -c unix_socket_directories=${socket} ` +
  `-c password_encryption=scram-sha-256${throwAway ? ' -c fsync=off -c full_page_writes=off' : ''}`

/**
 * A database that is there is never removed. A cluster that initdb was making when it was stopped holds
 * nothing, and `pg.making` says so; a folder `pg` without any mark (copied alone, say) is a whole cluster and
 * is taken over; anything else at that place is refused.
 */
async function initialise(bin, folder, data) {
  refuseUnfinishedUpgrade(folder, data)
  const making = join(folder, 'pg.making')
  if (existsSync(making)) rmSync(data, { recursive: true, force: true })
  if (existsSync(join(data, 'PG_VERSION'))) {
    refuseOtherVersion(bin, data)
    return ownWhole(data)
  }
  if (existsSync(data) && readdirSync(data).length > 0)
    throw new Error(
      `${data} holds files, and no PostgreSQL cluster. Nothing was changed. ` +
        'Move the folder away, or set DIAPASON_DATA to another one.',
    )
  writeFileSync(making, new Date().toISOString())
  mkdirSync(data, { recursive: true, mode: 0o700 })
  own(data)
  await runAsServer(join(bin, 'initdb'), [
    '-D',
    data,
    '-U',
    'diapason',
    '--auth-local=peer',
    '--auth-host=scram-sha-256',
    '--encoding=UTF8',
    '--locale=C.UTF-8',
    '--no-instructions',
  ])
  rmSync(making)
}

/** The superuser's way in, by the private socket of the server. */
export const adminUrlOf = (socket, port) =>
  `postgresql://diapason@/postgres?host=${encodeURIComponent(socket)}&port=${port}`

/** A server that outlived a killed launcher is stopped; a stale pid file is taken over by the new server. */
async function stopLeftover(bin, data) {
  const pidFile = join(data, 'postmaster.pid')
  if (!existsSync(pidFile)) return
  const [pid, folder] = readFileSync(pidFile, 'utf8').split('\n')
  // A copy of a folder whose server runs on names that server: it is not ours to stop.
  if (folder !== data || !isPostgres(Number(pid))) return rmSync(pidFile, { force: true })
  await runAsServer(join(bin, 'pg_ctl'), ['-D', data, '-m', 'fast', '-w', '-t', '20', 'stop'], {
    allowFailure: true,
  })
}

function isServing(data) {
  try {
    return isPostgres(Number(readFileSync(join(data, 'postmaster.pid'), 'utf8').split('\n')[0]))
  } catch {
    return false
  }
}

function isPostgres(pid) {
  try {
    return readFileSync(`/proc/${pid}/comm`, 'utf8').startsWith('postgres')
  } catch {
    return false
  }
}

/** Between two moves of an upgrade the old one stands aside: a new, empty one would look like a loss. */
function refuseUnfinishedUpgrade(folder, data) {
  if (!existsSync(data) && clustersAside(folder).length > 0)
    throw new Error(
      `An upgrade of the database in ${folder} did not end. Nothing is lost. Run the upgrade again: npm run upgrade`,
    )
}
