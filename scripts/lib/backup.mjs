import { createHash } from 'node:crypto'
import {
  chmodSync,
  cpSync,
  createReadStream,
  existsSync,
  mkdirSync,
  readFileSync,
  renameSync,
  rmSync,
  writeFileSync,
} from 'node:fs'
import { dirname, join, resolve } from 'node:path'
import { openDatabase, programsOf } from './database.mjs'
import { newestMigration } from './migrate.mjs'
import { startCluster } from './postgres.mjs'
import { run } from './run.mjs'
import { differences, tableSums } from './tableSums.mjs'

const FORMAT = 'diapason-backup'
const VERSION = 1
/** In the folder while a restore is not proved: what is there then is not to be worked on. */
export const RESTORING = 'pg.restoring'
/** The workshop's own certificate authority, where it has one. */
const KEYS = 'tls'

/**
 * Everything that is kept, as it is at one moment, in one file: while Diapason runs, too. The database holds
 * jobs, photos, recordings, sheets and rule sets; beside it there are the keys by which tablets trust the
 * workshop.
 * @returns rows by table
 */
export async function backup(folder, file) {
  const target = resolve(file)
  if (existsSync(target)) throw new Error(`${target} is there already. Nothing was written.`)
  const database = await openDatabase(folder)
  const work = `${target}.part.d`
  mkdirSync(dirname(target), { recursive: true })
  rmSync(work, { recursive: true, force: true })
  mkdirSync(work)
  try {
    const { sums, schema, server } = await dumped(database.url, join(work, 'dump'))
    const manifest = {
      format: FORMAT,
      version: VERSION,
      takenAt: new Date().toISOString(),
      postgresql: server,
      schema,
      dumpSha256: await sha256(join(work, 'dump')),
      tables: sums,
    }
    writeFileSync(join(work, 'manifest.json'), `${JSON.stringify(manifest, null, 2)}\n`)
    const keys = existsSync(join(folder, KEYS)) ? ['-C', folder, KEYS] : []
    const files = ['-C', work, 'manifest.json', 'dump', ...keys]
    await run('tar', ['-cf', `${target}.part`, ...files], { quiet: true })
    // Names and addresses of owners are in it, and private keys.
    chmodSync(`${target}.part`, 0o600)
    // A backup that is there stands alone: whoever sees its name finds nothing half made beside it.
    rmSync(work, { recursive: true })
    renameSync(`${target}.part`, target)
    return sums
  } finally {
    rmSync(work, { recursive: true, force: true })
    rmSync(`${target}.part`, { force: true })
    await database.close()
  }
}

/** Sums and dump of the same moment: the dump reads what the transaction of the sums sees. */
async function dumped(url, dump) {
  const { default: pg } = await import('pg')
  const client = new pg.Client({ connectionString: url })
  await client.connect()
  try {
    await client.query('begin isolation level repeatable read, read only')
    const { rows } = await client.query(
      'select pg_export_snapshot() as snapshot, (select max(version)::int from schema_version) as schema, ' +
        "current_setting('server_version') as server",
    )
    const [{ snapshot, schema, server }] = rows
    const options = ['--format=custom', '--no-acl', `--snapshot=${snapshot}`, `--file=${dump}`, url]
    const [sums] = await Promise.all([
      tableSums(client),
      run(programsOf('pg_dump'), options, { quiet: true }),
    ])
    return { sums, schema, server }
  } finally {
    await client.end()
  }
}

/** @returns the mark of a restore that did not end there yet. @throws {Error} in words: not empty */
export function emptyPlace(folder) {
  const unproved = join(folder, RESTORING)
  if (existsSync(join(folder, 'pg')) && !existsSync(unproved))
    throw new Error(`${folder} holds a database already. Nothing was changed. Choose an empty DIAPASON_DATA.`)
  return unproved
}

/**
 * A backup into an empty place; it counts only when every table is as it was.
 * @returns rows by table
 * @throws {Error} in words: not empty, no backup, damaged, not equal
 */
export async function restore(file, folder) {
  const unproved = emptyPlace(folder)
  const work = join(folder, 'restore.d')
  mkdirSync(work, { recursive: true })
  try {
    const manifest = await unpacked(resolve(file), work)
    writeFileSync(unproved, new Date().toISOString())
    rmSync(join(folder, 'pg'), { recursive: true, force: true })
    const cluster = await startCluster(folder, { isRestore: true })
    try {
      const options = [
        '--exit-on-error',
        '--no-owner',
        '--no-acl',
        `--dbname=${cluster.adminUrl}`,
        join(work, 'dump'),
      ]
      await run(programsOf('pg_restore'), options, { quiet: true })
      const unequal = differences(manifest.tables, await sumsOf(cluster.adminUrl))
      if (unequal.length > 0)
        throw new Error(`The restored database is not the one of the backup:\n${unequal.join('\n')}`)
    } finally {
      await cluster.stop()
    }
    if (existsSync(join(work, KEYS)))
      cpSync(join(work, KEYS), join(folder, KEYS), { recursive: true, preserveTimestamps: true })
    rmSync(unproved)
    return manifest.tables
  } finally {
    rmSync(work, { recursive: true, force: true })
  }
}

async function unpacked(file, work) {
  const unpack = (...members) =>
    run('tar', ['-xf', file, '-C', work, ...members], { quiet: true, allowFailure: true })
  const { code } = await unpack('manifest.json', 'dump')
  // One of a workshop that let no other machine in has none.
  await unpack(KEYS)
  const manifest = code === 0 ? JSON.parse(readFileSync(join(work, 'manifest.json'), 'utf8')) : null
  if (manifest?.format !== FORMAT) throw new Error(`${file} is no backup of Diapason. Nothing was changed.`)
  if (manifest.version > VERSION || manifest.schema > newestMigration())
    throw new Error(`${file} was made by a newer Diapason. Nothing was changed. Update this one first.`)
  if ((await sha256(join(work, 'dump'))) !== manifest.dumpSha256)
    throw new Error(`${file} is damaged: its checksum does not hold. Nothing was changed.`)
  return manifest
}

async function sumsOf(url) {
  const { default: pg } = await import('pg')
  const client = new pg.Client({ connectionString: url })
  await client.connect()
  try {
    await client.query('begin read only')
    return await tableSums(client)
  } finally {
    await client.end()
  }
}

async function sha256(file) {
  const hash = createHash('sha256')
  for await (const chunk of createReadStream(file)) hash.update(chunk)
  return hash.digest('hex')
}
