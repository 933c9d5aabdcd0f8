import { spawn } from 'node:child_process'
import { accessSync, chmodSync, chownSync, constants, readFileSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { run } from './run.mjs'

export const isRoot = () => process.getuid?.() === 0

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

export function runAsServer(command, args, options = {}) {
  const [c, a] = asServer(command, args)
  return run(c, a, { quiet: true, cwd: '/', env: serverEnv, ...options })
}

/** pg_ctl start must not hold a pipe open: the server would inherit it and the launcher never end. */
export function pgCtl(bin, args) {
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
export async function ownWhole(data) {
  chmodSync(data, 0o700)
  if (isRoot() && statSync(data).uid === 0)
    await run('chown', ['-R', 'postgres:postgres', data], { quiet: true })
}

export function own(path) {
  if (!isRoot()) return
  accessSync(path, constants.F_OK)
  const line = readFileSync('/etc/passwd', 'utf8')
    .split('\n')
    .find(l => l.startsWith('postgres:'))
  const [, , uid, gid] = line.split(':')
  chownSync(path, Number(uid), Number(gid))
}
