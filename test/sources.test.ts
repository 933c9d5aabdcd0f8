import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { CAUSES } from '../core/diagnose/causes/catalogue'
import { SHEETS } from '../core/sheet'
import { filesUnder } from './filesUnder'

const FOLDERS = ['core', 'shared', 'server', 'app', 'instruments', 'cli', 'test']
const NUMBER = /\b[CFIKPQSTWX]\d{2}\b/g
const COMMENT = /(?:\/\/|^\s*\*|\/\*\*)(.*)/

const listed = new Set(
  readFileSync('docs/sources.md', 'utf8')
    .split('\n')
    .flatMap(line => /^\| ([A-Z]\d{2}) \| .{20,} \| .+ \|$/.exec(line)?.[1] ?? []),
)
/** Parts of circuits are written alike: what a sheet calls an adjuster is no citation. */
const designators = new Set(SHEETS.flatMap(s => s.adjusters.map(a => a.designator)))

function cited(): Map<string, string> {
  const found = new Map<string, string>()
  for (const file of filesUnder(FOLDERS, /\.(ts|vue|mjs)$/))
    readFileSync(file, 'utf8')
      .split('\n')
      .forEach((line, i) => {
        for (const [number] of COMMENT.exec(line)?.[1]?.matchAll(NUMBER) ?? [])
          if (!designators.has(number)) found.set(number, `${file}:${i + 1}`)
      })
  return found
}

describe('docs/sources.md', () => {
  it('holds every fact that a comment cites', () => {
    const found = cited()
    expect(found.size).toBeGreaterThan(60)
    expect([...found].filter(([number]) => !listed.has(number))).toEqual([])
  })
  it('holds the fact behind every cause of the catalogue', () => {
    expect(CAUSES.map(c => c.row).filter(row => !listed.has(row))).toEqual([])
  })
})
