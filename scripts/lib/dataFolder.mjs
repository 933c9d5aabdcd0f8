import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { homedir } from 'node:os'
import { join, resolve } from 'node:path'
import { ROOT } from './paths.mjs'

/** In the folder: whether it holds a workshop or the demo. */
const MARK = 'diapason.json'

/**
 * Where database, logs and run file are: outside of the checkout, which may be removed, and the demo never in
 * the folder of a workshop. `DIAPASON_DATA` says otherwise.
 */
export function dataFolder(demo, { env = process.env, root = ROOT } = {}) {
  // PostgreSQL is started in another folder: a path of its own from the root.
  if (env.DIAPASON_DATA) return resolve(env.DIAPASON_DATA)
  const base = join(env.XDG_DATA_HOME || join(homedir(), '.local', 'share'), 'diapason')
  const folder = join(base, demo ? 'demo' : 'workshop')
  // Earlier versions kept it in the checkout: records are opened where they are.
  const before = join(root, '.data')
  const isThere = !demo && !existsSync(join(folder, 'pg')) && existsSync(join(before, 'pg'))
  return isThere ? before : folder
}

/**
 * Says of a folder what it holds, once and for all.
 * @throws {Error} in words, when it holds the other
 */
export function markFolder(folder, demo) {
  const kind = demo ? 'demo' : 'workshop'
  const found = kindOf(folder)
  if (found !== null && found !== kind)
    throw new Error(
      found === 'demo'
        ? `${folder} holds the demo, with made-up jobs. Nothing was changed. Choose another DIAPASON_DATA.`
        : `${folder} holds the database of a workshop: demo data do not enter it. Nothing was changed. ` +
            'Choose another DIAPASON_DATA for the demo.',
    )
  mkdirSync(folder, { recursive: true })
  if (!existsSync(join(folder, MARK))) writeFileSync(join(folder, MARK), `${JSON.stringify({ kind })}\n`)
}

/** Whether it holds made-up jobs. */
export const isDemoFolder = folder => kindOf(folder) === 'demo'

/** A database without a mark is a workshop's: one that was copied alone, or of an earlier version. */
function kindOf(folder) {
  try {
    return JSON.parse(readFileSync(join(folder, MARK), 'utf8')).kind
  } catch {
    const isWhole = existsSync(join(folder, 'pg', 'PG_VERSION')) && !existsSync(join(folder, 'pg.making'))
    return isWhole ? 'workshop' : null
  }
}
