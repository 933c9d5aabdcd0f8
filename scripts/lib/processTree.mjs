import { readFileSync, readdirSync } from 'node:fs'

/** Process numbers of everything that a process started, and of what that started. */
export function descendantsOf(parent) {
  const own = readdirSync('/proc').filter(name => /^\d+$/.test(name) && parentOf(name) === parent)
  return own.flatMap(pid => [Number(pid), ...descendantsOf(Number(pid))])
}

function parentOf(pid) {
  try {
    return Number(/^PPid:\s+(\d+)/m.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))[1])
  } catch {
    // It ended meanwhile.
    return null
  }
}
