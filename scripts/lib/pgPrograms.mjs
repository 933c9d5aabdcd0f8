import { existsSync, mkdirSync, readFileSync, readdirSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { isRoot } from './asServer.mjs'
import { ensureDebian } from './packages.mjs'

const LIB = '/usr/lib/postgresql'

/** Programs of the newest PostgreSQL that is installed, or null. */
export function binFolder() {
  const versions = existsSync(LIB)
    ? readdirSync(LIB).filter(v => existsSync(join(LIB, v, 'bin', 'initdb')))
    : []
  const newest = versions.sort((a, b) => Number(b) - Number(a))[0]
  return newest ? join(LIB, newest, 'bin') : null
}

/** Major version of PostgreSQL that made a cluster; null = there is none. */
export function clusterVersion(data) {
  const made = join(data, 'PG_VERSION')
  return existsSync(made) ? readFileSync(made, 'utf8').trim() : null
}

/** Names of clusters that upgrades left beside the new one, `pg.` and their version: the newest first. */
export function clustersAside(folder) {
  const version = name => Number(name.slice('pg.'.length))
  return (existsSync(folder) ? readdirSync(folder) : [])
    .filter(name => /^pg\.\d+$/.test(name))
    .sort((a, b) => version(b) - version(a))
}

/** Major version of a folder of programs. */
export const versionOf = bin => bin.split('/').at(-2)

/** The programs of the version that made a cluster, where they are installed; else the newest. */
export function binFor(data) {
  const version = clusterVersion(data)
  const own = version ? join(LIB, version, 'bin') : null
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

/** A server of another major version cannot read it, and must not try. */
export function refuseOtherVersion(bin, data) {
  const version = clusterVersion(data)
  const installed = versionOf(bin)
  if (version !== installed)
    throw new Error(
      `The database in ${data} was made by PostgreSQL ${version}; PostgreSQL ${installed} is installed. ` +
        `Nothing was changed. Install PostgreSQL ${version} as well: then it opens, and npm run upgrade takes it over.`,
    )
}
