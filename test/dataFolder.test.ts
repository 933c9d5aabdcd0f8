import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, describe, expect, it } from 'vitest'
import { dataFolder, markFolder } from '../scripts/lib/dataFolder.mjs'

const folderOfTests = mkdtempSync(join(tmpdir(), 'diapason-folder-'))
afterAll(() => rmSync(folderOfTests, { recursive: true, force: true }))
const at = (...names: string[]) => join(folderOfTests, ...names)
function cluster(folder: string) {
  mkdirSync(join(folder, 'pg'), { recursive: true })
  writeFileSync(join(folder, 'pg', 'PG_VERSION'), '15')
}

describe('The folder of the records', () => {
  const from = { env: { XDG_DATA_HOME: at('data') }, root: at('checkout') }

  it('is outside of the checkout, the demo in one of its own', () => {
    expect(dataFolder(false, from)).toBe(at('data', 'diapason', 'workshop'))
    expect(dataFolder(true, from)).toBe(at('data', 'diapason', 'demo'))
  })
  it('is the one that was asked for', () =>
    expect(dataFolder(true, { ...from, env: { DIAPASON_DATA: '/srv/radio' } })).toBe('/srv/radio'))

  it('is where an earlier version put it, as long as no other is there', () => {
    cluster(at('checkout', '.data'))
    expect(dataFolder(false, from)).toBe(at('checkout', '.data'))
    expect(dataFolder(true, from)).toBe(at('data', 'diapason', 'demo'))
    cluster(at('data', 'diapason', 'workshop'))
    expect(dataFolder(false, from)).toBe(at('data', 'diapason', 'workshop'))
  })
})

describe('A folder', () => {
  it('that holds the demo is no workshop, and the other way round', () => {
    markFolder(at('demo'), true)
    markFolder(at('shop'), false)
    markFolder(at('demo'), true)
    expect(() => markFolder(at('demo'), false)).toThrow(/holds the demo/)
    expect(() => markFolder(at('shop'), true)).toThrow(/holds the database of a workshop/)
  })
  it('with a database and no mark is a workshop’s', () => {
    cluster(at('copied'))
    expect(() => markFolder(at('copied'), true)).toThrow(/demo data do not enter it/)
    expect(() => markFolder(at('copied'), false)).not.toThrow()
  })
  it('with a database that was being made holds nothing yet', () => {
    cluster(at('begun'))
    writeFileSync(at('begun', 'pg.making'), '')
    expect(() => markFolder(at('begun'), true)).not.toThrow()
  })
})
