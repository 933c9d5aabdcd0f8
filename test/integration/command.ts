import { spawn } from 'node:child_process'
import { text } from 'node:stream/consumers'

/**
 * A command as a person gives it: how it ended, and everything that it said. The test goes on meanwhile: one
 * that stands still does not see the server close an idle connection, and sends its next request into it.
 */
export async function command(script: string, args: readonly string[], env: NodeJS.ProcessEnv) {
  const child = spawn(process.execPath, [`scripts/${script}.mjs`, ...args], {
    env: { ...process.env, ...env },
    stdio: ['ignore', 'pipe', 'pipe'],
  })
  const status = new Promise<number | null>(ended => child.once('close', ended))
  const said = await Promise.all([text(child.stdout), text(child.stderr)])
  return { status: await status, said: said.join('') }
}
