import { chmodSync, existsSync, mkdirSync, mkdtempSync, renameSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join, resolve } from 'node:path'
import { onRecords } from './onRecords.mjs'
import { run } from './run.mjs'

/** A workshop as one file: written in a folder beside it, then packed. */
export async function exportTo(file) {
  const target = resolve(file)
  if (existsSync(target)) throw new Error(`${target} is there already. Nothing was written.`)
  mkdirSync(dirname(target), { recursive: true })
  const work = mkdtempSync(`${target}.part-`)
  try {
    await onRecords('transfer.mjs', { args: ['export', work] })
    if (process.exitCode) return
    await run('tar', ['-czf', `${work}.tar`, '-C', work, '.'], { quiet: true })
    // Names and addresses of owners are in it.
    chmodSync(`${work}.tar`, 0o600)
    renameSync(`${work}.tar`, target)
  } finally {
    rmSync(work, { recursive: true, force: true })
    rmSync(`${work}.tar`, { force: true })
  }
}

/**
 * An archive of a workshop, or a table of old records.
 * @param before done to the database first
 * @throws {Error} in words: no archive
 */
export async function importFrom(file, { really, before }) {
  if (!existsSync(file)) throw new Error(`There is no file ${file}. Nothing was changed.`)
  const args = really ? ['--yes'] : []
  if (/\.csv$/i.test(file))
    return onRecords('transfer.mjs', { args: ['records', resolve(file), ...args], before })
  const work = mkdtempSync(join(tmpdir(), 'diapason-import-'))
  try {
    const { code } = await run('tar', ['-xzf', resolve(file), '-C', work], {
      quiet: true,
      allowFailure: true,
    })
    if (code !== 0) throw new Error(`${file} is no archive of a workshop. Nothing was changed.`)
    await onRecords('transfer.mjs', { args: ['import', work, ...args], before })
  } finally {
    rmSync(work, { recursive: true, force: true })
  }
}
