import { spawn } from 'node:child_process'
import { createWriteStream, mkdirSync } from 'node:fs'
import { join } from 'node:path'
import { ROOT } from './paths.mjs'

/** Long-running processes of one launcher: their log lines go to a file each, and all end together. */
export class Children {
  /** @param onChange told whenever a process was started, so that a killed launcher leaves their numbers behind */
  constructor(logFolder, onChange = () => {}) {
    this.onChange = onChange
    mkdirSync(logFolder, { recursive: true })
    this.logFolder = logFolder
    this.list = []
    this.stopping = false
  }

  /** @param onDeath called when it ends without being asked to */
  start(name, file, env, onDeath) {
    const child = spawn(process.execPath, [file], { cwd: ROOT, env: { ...process.env, ...env }, stdio: ['ignore', 'pipe', 'pipe'] })
    const log = createWriteStream(join(this.logFolder, `${name}.log`), { flags: 'a' })
    child.stdout.pipe(log, { end: false })
    child.stderr.pipe(log, { end: false })
    child.on('exit', (code, signal) => this.stopping || onDeath(name, code ?? signal))
    this.list.push({ name, child })
    this.onChange(this.pids())
    return child
  }

  pids() {
    return this.list.map(({ child }) => child.pid)
  }

  async stop() {
    this.stopping = true
    await Promise.all(this.list.map(({ child }) => new Promise((resolve) => {
      if (child.exitCode !== null || child.signalCode !== null) return resolve()
      child.once('exit', resolve)
      child.kill('SIGTERM')
      setTimeout(() => child.kill('SIGKILL'), 3000).unref()
    })))
  }
}
