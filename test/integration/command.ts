import { spawnSync } from 'node:child_process'

/** A command as a person gives it: how it ended, and everything that it said. */
export function command(script: string, args: readonly string[], env: NodeJS.ProcessEnv) {
  const { status, stdout, stderr } = spawnSync(process.execPath, [`scripts/${script}.mjs`, ...args], {
    env: { ...process.env, ...env },
    encoding: 'utf8',
  })
  return { status, said: stdout + stderr }
}
