import { existsSync, renameSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { backup, restore } from './backup.mjs'
import { binFolder, clusterVersion, clustersAside, ensurePostgres, versionOf } from './pgPrograms.mjs'

/**
 * Takes the database of a folder over to the newest PostgreSQL that is installed: a dump of the old one, a
 * new one from it, proved table by table; the old one is kept beside it. One that was stopped begins anew.
 * @param from version of the old one, as its own file says
 * @returns null when it is of the newest already; else the versions, where the old one is, and rows by table
 * @throws {Error} in words
 */
export async function upgradeCluster(folder, { from } = {}) {
  await ensurePostgres()
  const data = join(folder, 'pg')
  putBack(folder, data)
  if (!existsSync(join(data, 'PG_VERSION'))) throw new Error(`There is no database in ${folder}.`)
  const old = from ?? clusterVersion(data)
  const to = versionOf(binFolder())
  if (old === to) return null
  const aside = `${data}.${old}`
  if (existsSync(aside))
    throw new Error(`${aside} is there already. Nothing was changed. Move it away first.`)
  const file = join(folder, `upgrade-from-${old}.diapason`)
  const restored = join(folder, 'upgrade.d')
  for (const left of [file, restored]) rmSync(left, { recursive: true, force: true })
  await backup(folder, file)
  const tables = await restore(file, restored)
  renameSync(data, aside)
  renameSync(join(restored, 'pg'), data)
  for (const left of [file, restored]) rmSync(left, { recursive: true, force: true })
  return { from: old, to, aside, tables }
}

/** Stopped between the two moves: the old one, the newest of those aside, is where it was again. */
function putBack(folder, data) {
  const [aside] = clustersAside(folder)
  if (!existsSync(data) && aside) renameSync(join(folder, aside), data)
}

/**
 * Away with what upgrades left.
 * @returns names of what was removed
 * @throws {Error} in words, when nothing stands in its place
 */
export function removeOld(folder) {
  if (!existsSync(join(folder, 'pg', 'PG_VERSION')))
    throw new Error(
      `There is no database in ${folder} that takes the place of the old one. Nothing was removed.`,
    )
  const old = clustersAside(folder)
  for (const name of old) rmSync(join(folder, name), { recursive: true })
  return old
}
