import { existsSync, mkdirSync, readdirSync, rmSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { backup } from './backup.mjs'

const LOOK_EVERY_MS = 10 * 60_000
const HOUR_MS = 3_600_000
/** Taken between these hours, when nobody measures; one that is due since longer is taken at once. */
const NIGHT = { from: 1, to: 5 }
const DUE_AFTER_MS = 20 * HOUR_MS
const OVERDUE_AFTER_MS = 44 * HOUR_MS
/** Days of which each one is kept; of older ones the first of each month. */
const KEPT_DAYS = 14
const ENDING = '.diapason'

/**
 * Where the nightly backups of a workshop go: in its own folder, or, better, on another disk.
 * @returns null = none are wanted
 */
export function backupFolder(folder, env = process.env) {
  if (env.DIAPASON_BACKUPS === 'off') return null
  return env.DIAPASON_BACKUPS || join(folder, 'backups')
}

/** Whether one is due: in the night once a day, at any hour when there is none or a night was missed. */
export function isDue(lastAtMs, now = new Date()) {
  const ageMs = lastAtMs === null ? Infinity : now.getTime() - lastAtMs
  const isNight = now.getHours() >= NIGHT.from && now.getHours() < NIGHT.to
  return ageMs > OVERDUE_AFTER_MS || (ageMs > DUE_AFTER_MS && isNight)
}

/** Files of a folder of backups, the last first. */
export function backupsIn(folder) {
  if (!existsSync(folder)) return []
  return readdirSync(folder)
    .filter(name => name.startsWith('nightly-') && name.endsWith(ENDING))
    .map(name => ({ name, atMs: statSync(join(folder, name)).mtimeMs }))
    .sort((a, b) => b.atMs - a.atMs)
}

/** Names that are not kept: beyond the last days, and not the first of their month. */
export function outlived(backups) {
  const months = new Set()
  // From the oldest on, so that it is the first of a month that stays.
  const firsts = backups.toReversed().filter(({ name }) => {
    const month = name.slice('nightly-'.length, 'nightly-2026-11'.length)
    return !months.has(month) && months.add(month)
  })
  return backups.slice(KEPT_DAYS).flatMap(b => (firsts.includes(b) ? [] : [b.name]))
}

/** Takes backups by itself while the workshop runs. @returns ends it */
export const keepBackups = (folder, target, say) =>
  nowAndThen('The nightly backup', say, async () => {
    if (isDue(backupsIn(target)[0]?.atMs ?? null)) await nightlyBackup(folder, target)
  })

/**
 * Looks at once and every some minutes whether there is something to do.
 * @param say told what went wrong; it is tried again
 * @returns ends it
 */
export function nowAndThen(what, say, work) {
  let busy = false
  const look = async () => {
    if (busy) return
    busy = true
    try {
      await work()
    } catch (error) {
      say(`${what} failed: ${error instanceof Error ? error.message : error}`)
    }
    busy = false
  }
  void look()
  const timer = setInterval(look, LOOK_EVERY_MS)
  timer.unref()
  return () => clearInterval(timer)
}

/** One of today, and away with those that are outlived; never before the new one is there. */
export async function nightlyBackup(folder, target, now = new Date()) {
  mkdirSync(target, { recursive: true, mode: 0o700 })
  // What a backup left that was stopped.
  for (const left of readdirSync(target).filter(name => /^nightly-.*\.part(\.d)?$/.test(name)))
    rmSync(join(target, left), { recursive: true, force: true })
  const stamp = [now.getFullYear(), now.getMonth() + 1, now.getDate(), now.getHours(), now.getMinutes()]
  const [year, ...rest] = stamp.map(part => String(part).padStart(2, '0'))
  const name = `nightly-${year}-${rest.slice(0, 2).join('-')}-${rest.slice(2).join('')}${ENDING}`
  await backup(folder, join(target, name))
  for (const old of outlived(backupsIn(target))) rmSync(join(target, old))
}
