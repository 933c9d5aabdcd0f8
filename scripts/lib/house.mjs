import { randomBytes } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { setTimeout as sleep } from 'node:timers/promises'
import { ensureBuilt } from './build.mjs'
import { Children } from './children.mjs'
import { keepDatabase } from './keepDatabase.mjs'
import { migrate } from './migrate.mjs'
import { ensureNodeModules } from './packages.mjs'
import { OUTPUT } from './paths.mjs'
import { freePort, freePorts } from './ports.mjs'
import { ownAddress, refuseStrangers, wayInForOthers } from './listening.mjs'
import { startCluster } from './postgres.mjs'
import { run } from './run.mjs'

/** Ports that are set aside for the simulated instruments: the largest bench has four. */
const SIMULATED_INSTRUMENTS = 8

/** Twice what the simulated bench was seen to need while recordings are made of it. */
const BENCH_HEAP_MB = 96

/**
 * Starts everything: database, simulated bench and demo data if wanted, gateway, web server.
 * @param folder where the private cluster, the logs and the run file live
 * @param archive folder in which every change of the database is kept too; null = none
 * @param settings environment of the processes beside what the house itself says
 * @returns addresses, and stop() that ends all of it
 */
export async function startHouse({
  folder,
  demo,
  throwAway = false,
  archive = null,
  preferredPort = 0,
  settings = {},
  onDeath = () => {},
  onChildren = () => {},
}) {
  await ensureNodeModules()
  await ensureBuilt()
  mkdirSync(folder, { recursive: true })
  const cluster = process.env.DATABASE_URL ? null : await startCluster(folder, { throwAway, archive })
  const children = new Children(join(folder, 'logs'), onChildren)
  try {
    const adminUrl = process.env.DATABASE_URL ?? cluster.adminUrl
    await migrate(adminUrl)
    await refuseStrangers(adminUrl)
    const webPort = await freePort(preferredPort)
    const env = { ...settings, ...(await addresses(cluster, adminUrl)) }
    if (demo) await startDemo(children, { env, adminUrl, onDeath })
    children.start('gateway', join(OUTPUT, 'processes', 'gateway.mjs'), env, onDeath)
    const address = ownAddress(webPort)
    const others = await wayInForOthers(folder)
    const web = { ...others.web, PORT: String(webPort), ADDRESS: address, NODE_ENV: 'production' }
    children.start('web', join(OUTPUT, 'server', 'index.mjs'), { ...env, ...web }, onDeath)
    await answers(`${address}/api/health`)
    const stopKeeping = cluster ? keepDatabase(cluster, onDeath) : async () => {}
    return {
      address,
      forOthers: others.addresses,
      env,
      cluster,
      children,
      stop: async () => {
        await stopKeeping()
        await children.stop()
        await cluster?.stop()
      },
    }
  } catch (error) {
    await children.stop()
    await cluster?.stop()
    throw error
  }
}

/** Where the processes find each other, and with what they are let in. */
async function addresses(cluster, adminUrl) {
  const port = await freePort()
  const key = randomBytes(24).toString('hex')
  return {
    DATABASE_URL: cluster ? await cluster.admit() : adminUrl,
    GATEWAY_PORT: String(port),
    GATEWAY_URL: `http://127.0.0.1:${port}/${key}`,
    BESIDE_KEY: key,
    PROCESSES: join(OUTPUT, 'processes'),
  }
}

/** The simulated bench, and the made-up workshop measured on it; what follows is told where the bench is. */
async function startDemo(children, { env, adminUrl, onDeath }) {
  const port = await freePort()
  // Its instruments come back where they were when it is started again.
  const first = await freePorts(SIMULATED_INSTRUMENTS)
  const at = Array.from({ length: SIMULATED_INSTRUMENTS }, (_, i) => `127.0.0.1:${first + i}`)
  Object.assign(env, {
    BENCH_PORT: String(port),
    BENCH_URL: `http://127.0.0.1:${port}/${env.BESIDE_KEY}`,
    BENCH_SCPI_PORT: String(first),
    SIMULATED_INSTRUMENTS_AT: at.join(','),
  })
  // It makes signals all day long and keeps none: without a limit the collector lets its heap grow for hours.
  const limited = { ...env, NODE_OPTIONS: `--max-old-space-size=${BENCH_HEAP_MB}` }
  children.start('bench', join(OUTPUT, 'processes', 'bench.mjs'), limited, onDeath)
  await answers(`${env.BENCH_URL}/state`)
  await run(process.execPath, [join(OUTPUT, 'processes', 'demo.mjs')], {
    quiet: true,
    env: { ...process.env, ...env, DATABASE_URL: adminUrl },
  })
}

async function answers(url, withinMs = 20_000) {
  const until = Date.now() + withinMs
  for (;;) {
    const answer = await fetch(url).catch(() => null)
    if (answer?.ok) return
    if (Date.now() > until) throw new Error(`${url} does not answer; see the logs`)
    await sleep(50)
  }
}

/**
 * The run file names the launcher that holds a folder; one left behind by a killed launcher is taken over.
 */
export function claim(folder) {
  const file = join(folder, 'run.json')
  mkdirSync(folder, { recursive: true })
  if (existsSync(file)) {
    const other = readRunFile(file)
    if (other && isLauncher(other.pid)) return { running: other }
    if (other) endOrphans(other.children ?? [])
  }
  const tell = (address, children) =>
    writeFileSync(file, JSON.stringify({ pid: process.pid, address, children }))
  tell(null, [])
  return { running: null, tell, release: () => rmSync(file, { force: true }) }
}

function readRunFile(file) {
  try {
    return JSON.parse(readFileSync(file, 'utf8'))
  } catch {
    return null
  }
}

/**
 * After kill -9 of a launcher its children live on and hold ports and database lines: they are ended first.
 */
function endOrphans(pids) {
  for (const pid of pids.filter(p => commandOf(p).includes(OUTPUT))) process.kill(pid, 'SIGKILL')
}

/** Command line of a process, empty when it is gone. */
function commandOf(pid) {
  try {
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8')
  } catch {
    return ''
  }
}

/** A process number may have been given to something else meanwhile. */
function isLauncher(pid) {
  return pid !== process.pid && /scripts\/(demo|start|restore|upgrade)\.mjs/.test(commandOf(pid))
}
