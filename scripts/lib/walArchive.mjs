import {
  appendFileSync,
  existsSync,
  mkdirSync,
  readFileSync,
  readdirSync,
  renameSync,
  rmSync,
  writeFileSync,
} from 'node:fs'
import { join, resolve } from 'node:path'
import { own } from './asServer.mjs'
import { run } from './run.mjs'

/**
 * Every change of a workshop's database kept beside it, so that it can be brought back as it was at any
 * moment: copies of the whole cluster now and then, and the log of what was written since (PostgreSQL's
 * continuous archiving). In the archive each cluster has a folder of its own, named by its identifier.
 */

/** A copy is taken when the last one is older, and kept so long; one is kept in any case. */
const COPY_AFTER_MS = 7 * 86_400_000
const KEPT_MS = 35 * 86_400_000
/** What is written waits at most so long until it is in the archive [s]. */
const WITHIN_S = 60
export const CONF = 'archive.conf'
/** What was written before archiving was switched on is not in the log: a copy has to be taken first. */
const BEGUN = 'archive.begun'
/** Holds the name of a cluster in the archive, where that is not its identifier. */
const NAME = 'archive.name'
const UNFIT = /["'%\\\n$`]/

/** Where the archive is wanted, or null. @throws {Error} in words, for a name that cannot be used */
export const archiveFolder = (env = process.env) =>
  env.DIAPASON_WAL_ARCHIVE ? fitFolder(env.DIAPASON_WAL_ARCHIVE) : null

/** A folder that a setting of PostgreSQL and a shell can name. @throws {Error} in words */
export function fitFolder(name) {
  if (!UNFIT.test(name)) return resolve(name)
  throw new Error('The archive has to be a folder without quotes, percent, dollar and backslash in its name.')
}

/** Whether a cluster was archived when it was started last. */
export const wasArchived = data => existsSync(join(data, CONF))

/**
 * Switches archiving on or off for a cluster that is not running. It holds for whoever starts it next: what a
 * check or a backup writes belongs to the log as well.
 * @param archive null = off
 */
export async function setArchive(bin, data, archive) {
  const conf = join(data, 'postgresql.conf')
  const include = `include_if_exists = '${CONF}'`
  if (!readFileSync(conf, 'utf8').includes(include)) appendFileSync(conf, `\n${include}\n`)
  if (archive === null) return rmSync(join(data, CONF), { force: true })
  const { wal } = await placeOf(bin, data, archive)
  if (!existsSync(join(data, CONF))) writeFileSync(join(data, BEGUN), '')
  const [from, to] = ['"%p"', `"${wal}/%f"`]
  const put = `cp ${from} ${to}.part && sync ${to}.part && mv ${to}.part ${to}`
  const command = `if test -f ${to}; then cmp -s ${from} ${to}; else ${put}; fi`
  writeArchiveConf(data, [
    'archive_mode = on',
    `archive_timeout = ${WITHIN_S}`,
    `archive_command = '${command}'`,
  ])
}

export function writeArchiveConf(data, lines) {
  const file = join(data, CONF)
  writeFileSync(file, ['# Written at every start.', ...lines, ''].join('\n'))
  own(file)
}

/**
 * Folders of a cluster in the archive, made where they are not there. One that was brought back goes on in a
 * folder of its own: the one that it came from may still be worked on, and their logs must not be mixed.
 */
async function placeOf(bin, data, archive) {
  const named = join(data, NAME)
  const folder = join(
    archive,
    existsSync(named) ? readFileSync(named, 'utf8') : await identifierOf(bin, data),
  )
  const wal = join(folder, 'wal')
  mkdirSync(wal, { recursive: true, mode: 0o700 })
  own(folder)
  own(wal)
  return { folder, wal }
}

/** @returns what no other cluster has, but those that were brought back from it */
async function identifierOf(bin, data) {
  const { said } = await run(join(bin, 'pg_controldata'), ['-D', data], {
    quiet: true,
    env: { ...process.env, LC_ALL: 'C' },
  })
  return /^Database system identifier:\s+(\d+)$/m.exec(said)[1]
}

/** From now on the cluster is archived by a name of its own. */
export function nameAnew(data, from, nowMs = Date.now()) {
  writeFileSync(join(data, NAME), `${from.split('-')[0]}-${nowMs}`)
  own(join(data, NAME))
}

/** Copies of one cluster that are whole, the newest first. */
export function copiesIn(folder) {
  return readdirSync(folder)
    .filter(name => /^base-\d+$/.test(name))
    .map(name => ({ path: join(folder, name), atMs: Number(name.slice('base-'.length)) }))
    .sort((a, b) => b.atMs - a.atMs)
}

/**
 * A copy of the whole cluster where one is due, and away with what no copy that is kept needs.
 * @param url of the superuser, by the private socket
 */
export async function keepCopies(bin, data, archive, url, nowMs = Date.now()) {
  const { folder, wal } = await placeOf(bin, data, archive)
  for (const left of readdirSync(folder).filter(name => name.endsWith('.part')))
    rmSync(join(folder, left), { recursive: true })
  const [newest] = copiesIn(folder)
  const begun = join(data, BEGUN)
  if (newest && nowMs - newest.atMs < COPY_AFTER_MS && !existsSync(begun)) return
  const part = join(folder, 'base.part')
  await run(join(bin, 'pg_basebackup'), ['-d', url, '-D', part, '-X', 'none', '--checkpoint=fast'], {
    quiet: true,
  })
  rmSync(join(part, BEGUN), { force: true })
  renameSync(part, join(folder, `base-${Date.now()}`))
  rmSync(begun, { force: true })
  const [kept, ...older] = copiesIn(folder)
  const outlived = older.filter(c => nowMs - c.atMs > KEPT_MS)
  for (const { path } of outlived) rmSync(path, { recursive: true })
  const oldest = older.findLast(c => !outlived.includes(c)) ?? kept
  const label = readFileSync(join(oldest.path, 'backup_label'), 'utf8')
  const needed = /^START WAL LOCATION: .* \(file ([0-9A-F]{24})\)$/m.exec(label)[1]
  await run(join(bin, 'pg_archivecleanup'), [wal, needed], { quiet: true })
}
