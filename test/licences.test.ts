import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'

interface Locked {
  readonly version: string
  readonly license?: string
  readonly dev?: boolean
}
const json = (path: string) => JSON.parse(readFileSync(path, 'utf8')) as unknown
const { packages } = json('package-lock.json') as { packages: Record<string, Locked> }
const { dependencies } = json('package.json') as { dependencies: Record<string, string> }

/** Licences that ask nothing of a product but to keep their notice. */
const FREE = new Set([
  '0BSD',
  'Apache-2.0',
  'BSD-2-Clause',
  'BSD-3-Clause',
  'BlueOak-1.0.0',
  'CC0-1.0',
  'ISC',
  'MIT',
  'OFL-1.1',
  'Zlib',
])
/** Data of browsers, shipped to nobody: it decides at build time what old browsers need. */
const BUILD_DATA = new Set(['caniuse-lite'])
/** Its text says MIT, its package file says nothing. */
const UNSTATED: Readonly<Record<string, string>> = { 'png-js': 'MIT' }
/** libvips is a library of its own beside the program, loaded and replaceable, as the LGPL asks. */
const LOADED_LIBRARY = /^@img\/sharp-/

const nameOf = (path: string) => path.slice(path.lastIndexOf('node_modules/') + 'node_modules/'.length)
const shipped = Object.entries(packages)
  .filter(([path, p]) => path.startsWith('node_modules/') && !p.dev)
  .map(([path, p]) => ({
    name: nameOf(path),
    version: p.version,
    licence: p.license ?? UNSTATED[nameOf(path)],
  }))

/** Whether one of the alternatives, each part of it, is free; "A AND B" needs both. */
function isFree(licence: string): boolean {
  return licence
    .replace(/[()]/g, '')
    .split(' OR ')
    .some(one => one.split(' AND ').every(part => FREE.has(part)))
}

describe('licences of what ships', () => {
  it('bind the product to nothing but their notices', () => {
    expect(shipped.length).toBeGreaterThan(300)
    const binding = shipped.filter(
      p =>
        !BUILD_DATA.has(p.name) &&
        !(p.licence && isFree(p.licence)) &&
        !(LOADED_LIBRARY.test(p.name) && /LGPL-3\.0-or-later/.test(p.licence ?? '')),
    )
    expect(binding).toEqual([])
  })
  it('tells alternatives from additions', () => {
    expect(['MIT OR GPL-2.0', '(BSD-3-Clause OR GPL-2.0)', 'MIT AND Zlib'].map(isFree)).toEqual([
      true,
      true,
      true,
    ])
    expect(['GPL-2.0', 'MIT AND GPL-2.0', 'AGPL-3.0-only OR SSPL-1.0'].map(isFree)).toEqual([
      false,
      false,
      false,
    ])
  })
  it('stand in docs/licences.md', async () => {
    const direct = Object.keys(dependencies).map(name => shipped.find(p => p.name === name)!)
    const count = new Map<string, number>()
    for (const { licence } of shipped)
      count.set(licence ?? 'unstated', (count.get(licence ?? 'unstated') ?? 0) + 1)
    const lines = [
      '# Licences of what ships',
      '',
      'Made by `test/licences.test.ts` from `package-lock.json`; the test fails on a licence that would bind',
      'the product, and `npx vitest run --project unit test/licences --update` writes this page anew. Fonts',
      'are under the SIL Open Font License. libvips, which scales photos, is LGPL: a library of its own',
      'beside the program, loaded by `sharp` and replaceable.',
      '',
      '| package | version | licence |',
      '|---|---|---|',
      ...direct.map(p => `| ${p.name} | ${p.version} | ${p.licence} |`),
      '',
      `With everything that these need, ${shipped.length} packages:`,
      '',
      ...[...count].sort((a, b) => b[1] - a[1] || a[0].localeCompare(b[0])).map(([l, n]) => `- ${l}: ${n}`),
      '',
    ]
    await expect(lines.join('\n')).toMatchFileSnapshot('../docs/licences.md')
  })
})
