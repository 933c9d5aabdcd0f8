import { existsSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { binFolder, ensurePostgres } from './pgPrograms.mjs'
import { adminUrlOf, startCluster } from './postgres.mjs'

/** A program of PostgreSQL, of the version that is used here. */
export const programsOf = name => join(binFolder(), name)

/**
 * The database of a folder: of the Diapason that runs on it, or started for as long as it is needed.
 * @throws {Error} in words, when there is none
 */
export async function openDatabase(folder) {
  await ensurePostgres()
  const nothing = async () => {}
  if (process.env.DATABASE_URL) return { url: process.env.DATABASE_URL, close: nothing }
  if (!existsSync(join(folder, 'pg', 'PG_VERSION')))
    throw new Error(`There is no database in ${folder}. Set DIAPASON_DATA to the folder of the workshop.`)
  const running = adminUrlOfRunning(join(folder, 'pg'))
  if (running !== null) return { url: running, close: nothing }
  const cluster = await startCluster(folder)
  return { url: cluster.adminUrl, close: cluster.stop }
}

/** The way into the server that has this cluster open; null = none has. */
function adminUrlOfRunning(data) {
  try {
    const [pid, of, , port, socket] = readFileSync(join(data, 'postmaster.pid'), 'utf8').split('\n')
    const isServer = readFileSync(`/proc/${Number(pid)}/comm`, 'utf8').startsWith('postgres')
    return of === data && isServer ? adminUrlOf(socket, Number(port)) : null
  } catch {
    return null
  }
}
