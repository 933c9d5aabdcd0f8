import { spawn } from 'node:child_process'
import { createWriteStream, mkdirSync } from 'node:fs'
import { join } from 'node:path'
import { ROOT } from './paths.mjs'

const RESTART_AFTER_MS = 300
const RESTART_WINDOW_MS = 60_000
const MAX_RESTARTS = 5
/** So much of what a process said is remembered, to find in it why it ended [characters]. */
const LAST_SAID = 8000
const ERROR = /^\w*Error: /

/** Long-running processes of one launcher: their log lines go to a file each, and all end together. */
export class Children {
  /**
   * @param onChange told whenever a process was started, so that a killed launcher leaves their numbers
   * behind
   */
  constructor(logFolder, onChange = () => {}) {
    this.onChange = onChange
    mkdirSync(logFolder, { recursive: true })
    this.logFolder = logFolder
    this.list = []
    this.stopping = false
  }

  /**
   * Restarts a process that ends without being asked to; one that keeps dying is given up and reported, with
   * the last error that it named, or ''.
   */
  start(name, file, env, onDeath) {
    const deaths = []
    let said = ''
    const hear = chunk => (said = (said + chunk).slice(-LAST_SAID))
    const again = code => {
      if (this.stopping) return
      const now = Date.now()
      deaths.push(now)
      if (deaths.filter(at => now - at < RESTART_WINDOW_MS).length > MAX_RESTARTS)
        return onDeath(name, code, said.split('\n').findLast(line => ERROR.test(line)) ?? '')
      setTimeout(() => this.stopping || this.launch(name, file, env, again, hear), RESTART_AFTER_MS)
    }
    this.launch(name, file, env, again, hear)
  }

  launch(name, file, env, onExit, hear) {
    const child = spawn(process.execPath, [file], {
      cwd: ROOT,
      env: { ...process.env, ...env },
      stdio: ['ignore', 'pipe', 'pipe'],
    })
    const log = createWriteStream(join(this.logFolder, `${name}.log`), { flags: 'a' })
    child.stdout.pipe(log, { end: false })
    child.stderr.pipe(log, { end: false })
    child.stderr.on('data', hear)
    child.on('exit', (code, signal) => {
      this.list = this.list.filter(other => other.child !== child)
      onExit(code ?? signal)
    })
    this.list.push({ name, child })
    this.onChange(this.pids())
  }

  pids() {
    return this.list.map(({ child }) => child.pid)
  }

  async stop() {
    this.stopping = true
    await Promise.all(
      this.list.map(
        ({ child }) =>
          new Promise(resolve => {
            if (child.exitCode !== null || child.signalCode !== null) return resolve()
            child.once('exit', resolve)
            child.kill('SIGTERM')
            setTimeout(() => child.kill('SIGKILL'), 3000).unref()
          }),
      ),
    )
  }
}
