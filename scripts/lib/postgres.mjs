import {
  accessSync,
  constants,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  readdirSync,
  rmSync,
  writeFileSync,
  chmodSync,
  chownSync,
  statSync,
  openSync,
  closeSync,
} from 'node:fs'
import { spawn } from 'node:child_process'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { admitApplication, writeAccess } from './clusterAccess.mjs'
import { ensureDebian } from './packages.mjs'
import { freePort } from './ports.mjs'
import { run } from './run.mjs'

const LIB = '/usr/lib/postgresql'
const isRoot = () => process.getuid?.() === 0

/** Programs of the newest PostgreSQL that is installed, or null. */
export function binFolder() {
  const versions = existsSync(LIB)
    ? readdirSync(LIB).filter(v => existsSync(join(LIB, v, 'bin', 'initdb')))
    : []
  const newest = versions.sort((a, b) => Number(b) - Number(a))[0]
  return newest ? join(LIB, newest, 'bin') : null
}

/** The programs of the version that made a cluster, where they are installed; else the newest. */
function binFor(data) {
  const made = join(data, 'PG_VERSION')
  const own = existsSync(made) ? join(LIB, readFileSync(made, 'utf8').trim(), 'bin') : null
  return own && existsSync(join(own, 'initdb')) ? own : binFolder()
}

/** Debian's PostgreSQL server, installed without the cluster that its package would start on port 5432. */
export async function ensurePostgres() {
  if (binFolder()) return
  await keepPackageFromStarting()
  await ensureDebian('PostgreSQL', () => binFolder() !== null, ['postgresql', 'postgresql-contrib'])
}

async function keepPackageFromStarting() {
  if (!isRoot()) return
  const folder = '/etc/postgresql-common'
  if (existsSync(join(folder, 'createcluster.conf'))) return
  mkdirSync(folder, { recursive: true })
  writeFileSync(join(folder, 'createcluster.conf'), 'create_main_cluster = false\n')
}

/** The server refuses root: then it runs as user postgres, who may read the way to a private folder. */
function asServer(command, args) {
  if (!isRoot()) return [command, args]
  return [
    'setpriv',
    [
      '--reuid=postgres',
      '--regid=postgres',
      '--init-groups',
      '--inh-caps=+dac_read_search',
      '--ambient-caps=+dac_read_search',
      '--',
      command,
      ...args,
    ],
  ]
}

const serverEnv = { ...process.env, LC_ALL: 'C.UTF-8', PGDATA: '' }

function runAsServer(command, args, options = {}) {
  const [c, a] = asServer(command, args)
  return run(c, a, { quiet: true, cwd: '/', env: serverEnv, ...options })
}

/**
 * A private cluster in a folder, started on loopback on a free port.
 * @param folder e.g. .data; gets pg/ and pg.log
 * @param throwAway true: no fsync, for tests only
 * @param isRestore true: a place that an unfinished restore left may be used
 * @returns {{ adminUrl: string, port: number, admit: () => Promise<string>, stop: () => Promise<void>,
 *   startAgain: () => Promise<void> }} admit() lets the application in, once there are tables
 */
export async function startCluster(folder, { throwAway = false, isRestore = false } = {}) {
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
  const port = await freePort()
  const socket = mkdtempSync(join(tmpdir(), 'dpn-'))
  own(socket)
  const log = join(folder, 'pg.log')
  closeSync(openSync(log, 'a'))
  own(log)
  const careless = throwAway ? ' -c fsync=off -c full_page_writes=off' : ''
  const options =
    `-p ${port} -c listen_addresses=127.0.0.1 -c unix_socket_directories=${socket} ` +
    `-c password_encryption=scram-sha-256${careless}`
  const start = () => pgCtl(bin, ['-D', data, '-l', log, '-w', '-t', '60', '-o', options, 'start'])
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

/**
 * A database that is there is never removed. A cluster that initdb was making when it was stopped holds
 * nothing, and `pg.making` says so; a folder `pg` without any mark (copied alone, say) is a whole cluster and
 * is taken over; anything else at that place is refused.
 */
async function initialise(bin, folder, data) {
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

/** A server of another major version cannot read it, and must not try. */
function refuseOtherVersion(bin, data) {
  const version = readFileSync(join(data, 'PG_VERSION'), 'utf8').trim()
  const installed = bin.split('/').at(-2)
  if (version !== installed)
    throw new Error(
      `The database in ${data} was made by PostgreSQL ${version}; PostgreSQL ${installed} is installed. ` +
        `Nothing was changed. Install PostgreSQL ${version} as well, or restore a dump of it.`,
    )
}

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

/** pg_ctl start must not hold a pipe open: the server would inherit it and the launcher never end. */
function pgCtl(bin, args) {
  const [command, all] = asServer(join(bin, 'pg_ctl'), args)
  return new Promise((resolve, reject) => {
    const child = spawn(command, all, { cwd: '/', env: serverEnv, stdio: 'ignore', detached: true })
    child.on('error', reject)
    child.on('close', code =>
      code === 0 ? resolve() : reject(new Error(`PostgreSQL did not start; see ${args[3]}`)),
    )
  })
}

/** A copy made by root belongs to root, and the server would refuse it. */
async function ownWhole(data) {
  chmodSync(data, 0o700)
  if (isRoot() && statSync(data).uid === 0)
    await run('chown', ['-R', 'postgres:postgres', data], { quiet: true })
}

function own(path) {
  if (!isRoot()) return
  accessSync(path, constants.F_OK)
  const line = readFileSync('/etc/passwd', 'utf8')
    .split('\n')
    .find(l => l.startsWith('postgres:'))
  const [, , uid, gid] = line.split(':')
  chownSync(path, Number(uid), Number(gid))
}
