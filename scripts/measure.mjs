#!/usr/bin/env node
import { existsSync, mkdirSync, readdirSync, renameSync, statSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { ensureNodeModules } from './lib/packages.mjs'
import { fromRoot } from './lib/paths.mjs'

// What the set-up has to say must not end up among the figures.
console.log = console.error
await ensureNodeModules()
await import(pathToFileURL(await bundled()).href)

/** The command as one file for Node, made anew when its sources are newer. */
async function bundled() {
  const out = fromRoot('.cache', 'measure', 'measure.mjs')
  if (existsSync(out) && newest(fromRoot('core'), fromRoot('cli'), fromRoot('package-lock.json')) < statSync(out).mtimeMs) return out
  const { build } = await import('esbuild')
  const made = await build({ entryPoints: [fromRoot('cli', 'measure', 'main.ts')], bundle: true, platform: 'node', format: 'esm', target: 'node20', packages: 'external', write: false, logLevel: 'error' })
  mkdirSync(fromRoot('.cache', 'measure'), { recursive: true })
  // Two commands at once must not read half a file.
  writeFileSync(`${out}.${process.pid}`, made.outputFiles[0].contents)
  renameSync(`${out}.${process.pid}`, out)
  return out
}

function newest(...paths) {
  return Math.max(...paths.map(path => statSync(path).isDirectory() ? newest(...readdirSync(path).map(name => join(path, name)), ...[]) : statSync(path).mtimeMs), 0)
}
