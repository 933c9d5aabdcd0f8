import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { setTimeout as sleep } from 'node:timers/promises'
import pg from 'pg'
import { descendantsOf } from '../processTree.mjs'

/** How long what is frozen, locked or cut stays so. */
const HELD_MS = 1500

/**
 * What can go wrong in a workshop, each by its name.
 * @param house it happens to
 * @param folder its data
 * @param line the network in front of it
 */
export function faultKinds(house, folder, line) {
  const pidOf = name => house.children.list.find(child => child.name === name)?.child.pid
  const postmaster = () => Number(readFileSync(join(folder, 'pg', 'postmaster.pid'), 'utf8').split('\n')[0])
  return {
    'web server killed': () => signal([pidOf('web')], 'SIGKILL'),
    'gateway killed': () => signal([pidOf('gateway')], 'SIGKILL'),
    'database killed': () => signal([postmaster()], 'SIGKILL'),
    'web server frozen': () => frozen([pidOf('web')]),
    'database frozen': () => frozen([postmaster(), ...descendantsOf(postmaster())]),
    'network cut': () => line.cut(HELD_MS),
    'lines to the database cut': () =>
      asAdmin(house, "select pg_terminate_backend(pid) from pg_stat_activity where usename = 'diapason_app'"),
    'disk read-only': async () => {
      await asAdmin(house, 'alter system set default_transaction_read_only = on', 'select pg_reload_conf()')
      await sleep(HELD_MS)
      await untilDone(() =>
        asAdmin(
          house,
          'set default_transaction_read_only = off',
          'alter system reset default_transaction_read_only',
          'select pg_reload_conf()',
        ),
      )
    },
    'disk slow': () =>
      asAdmin(
        house,
        'begin',
        'lock table job_event in access exclusive mode',
        `select pg_sleep(${HELD_MS / 1000})`,
        'commit',
      ),
  }
}

function signal(pids, name) {
  for (const pid of pids) {
    try {
      if (pid) process.kill(pid, name)
    } catch {
      // It ended by itself in this moment.
    }
  }
}

async function frozen(pids) {
  signal(pids, 'SIGSTOP')
  await sleep(HELD_MS)
  signal(pids, 'SIGCONT')
}

/** A fault that finds the database away has happened already. */
async function asAdmin(house, ...queries) {
  const client = new pg.Client({ connectionString: house.cluster.adminUrl })
  client.on('error', () => {})
  try {
    await client.connect()
    for (const query of queries) await client.query(query)
    return true
  } catch {
    return false
  } finally {
    await client.end().catch(() => {})
  }
}

async function untilDone(work) {
  while (!(await work())) await sleep(100)
}
