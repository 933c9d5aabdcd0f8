import { cpSync, existsSync, mkdirSync, readdirSync, rmSync, writeFileSync } from 'node:fs'
import { basename, join } from 'node:path'
import { setTimeout as sleep } from 'node:timers/promises'
import { emptyPlace } from './backup.mjs'
import { ensurePostgres } from './pgPrograms.mjs'
import { startCluster } from './postgres.mjs'
import { CONF, copiesIn, fitFolder, nameAnew, writeArchiveConf } from './walArchive.mjs'

/**
 * A workshop as it was at a moment, from the archive of its log, into an empty place.
 * @param untilMs null = to the end of the archive
 * @returns when the last change was made that came back, as PostgreSQL writes it; null = none since the copy
 * @throws {Error} in words: not empty, no copy old enough, the archive does not reach so far
 */
export async function restoreUntil(archive, folder, untilMs) {
  const unproved = emptyPlace(folder)
  const data = join(folder, 'pg')
  mkdirSync(folder, { recursive: true })
  await ensurePostgres()
  rmSync(data, { recursive: true, force: true })
  writeFileSync(unproved, new Date().toISOString())
  try {
    layOut(fitFolder(archive), data, untilMs)
  } catch (error) {
    rmSync(unproved)
    throw error
  }
  const cluster = await startCluster(folder, { isRestore: true }).catch(() => {
    throw new Error(`The archived log does not reach so far, or is damaged. See ${join(folder, 'pg.log')}.`)
  })
  try {
    const lastAt = await played(cluster, join(folder, 'pg.log'))
    endLayOut(data)
    rmSync(unproved)
    return lastAt
  } finally {
    await cluster.stop()
  }
}

/** Waits until the log is played. */
async function played({ adminUrl, isLost }, log) {
  const { default: pg } = await import('pg')
  let lastAt = null
  for (;;) {
    if (isLost())
      throw new Error(
        `The archived log does not reach so far, or is damaged. Last change there: ${lastAt}. See ${log}.`,
      )
    const client = new pg.Client({ connectionString: adminUrl })
    client.on('error', () => {})
    try {
      await client.connect()
      const { rows } = await client.query(
        'select pg_is_in_recovery() as "plays", pg_last_xact_replay_timestamp()::text as at',
      )
      lastAt = rows[0].at ?? lastAt
      if (!rows[0].plays) return lastAt
    } catch {
      // It is between playing and serving, or it has ended.
    } finally {
      await client.end().catch(() => {})
    }
    await sleep(200)
  }
}

/**
 * Lays out the newest copy from before a moment so that the server that starts on it plays the log up to it.
 * @param untilMs null = to the end of what was archived
 * @throws {Error} in words, when no copy is old enough
 */
function layOut(archive, data, untilMs) {
  const folder = clusterIn(archive)
  const copies = copiesIn(folder)
  const copy = copies.find(c => untilMs === null || c.atMs <= untilMs)
  if (!copy)
    throw new Error(
      `The first copy in ${archive} is of ${new Date(copies.at(-1).atMs).toISOString()}: ` +
        'an earlier moment cannot be brought back. Nothing was changed.',
    )
  cpSync(copy.path, data, { recursive: true })
  nameAnew(data, basename(folder))
  writeArchiveConf(data, [
    `restore_command = 'cp "${join(folder, 'wal')}/%f" "%p"'`,
    "recovery_target_action = 'promote'",
    ...(untilMs === null ? [] : [`recovery_target_time = '${asPostgresReads(untilMs)}'`]),
  ])
  writeFileSync(join(data, 'recovery.signal'), '')
}

/**
 * The one database that an archive holds, or one that is named itself.
 * @throws {Error} in words: none, or several, of which one has to be named
 */
function clusterIn(archive) {
  const isCluster = folder => existsSync(join(folder, 'wal')) && copiesIn(folder).length > 0
  if (isCluster(archive)) return archive
  const names = existsSync(archive) ? readdirSync(archive) : []
  const [only, ...more] = names.map(name => join(archive, name)).filter(isCluster)
  if (!only) throw new Error(`${archive} holds no copy of a database. Nothing was changed.`)
  if (more.length === 0) return only
  const listed = [only, ...more].map(f => `${f}, last copy ${new Date(copiesIn(f)[0].atMs).toISOString()}`)
  throw new Error(
    `${archive} holds several databases. Nothing was changed. Name one of them after --archive:\n${listed.join('\n')}`,
  )
}

/** What was laid out works on by itself from now on. */
function endLayOut(data) {
  rmSync(join(data, CONF), { force: true })
}

/** "Z" is a name of a zone, which a setting may not hold. */
const asPostgresReads = atMs => new Date(atMs).toISOString().replace('Z', '+00')
