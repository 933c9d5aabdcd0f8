import { spawn } from 'node:child_process'
import { ROOT } from './paths.mjs'

/**
 * Runs a command to its end. Output is passed through, or collected when quiet. Rejects on a non-zero exit,
 * with what it said.
 */
export function run(
  command,
  args,
  { quiet = false, allowFailure = false, env = process.env, cwd = ROOT } = {},
) {
  return new Promise((resolve, reject) => {
    const child = spawn(command, args, {
      cwd,
      env,
      stdio: quiet ? ['ignore', 'pipe', 'pipe'] : ['ignore', 'inherit', 'inherit'],
    })
    let said = ''
    child.stdout?.on('data', chunk => (said += chunk))
    child.stderr?.on('data', chunk => (said += chunk))
    child.on('error', error => (allowFailure ? resolve({ code: 127, said: String(error) }) : reject(error)))
    child.on('close', code => {
      if (code === 0 || allowFailure) resolve({ code, said })
      else reject(new Error(`${command} ${args.join(' ')} ended with ${code}\n${said}`))
    })
  })
}
