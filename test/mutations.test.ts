import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { expect, it } from 'vitest'
import MUTATIONS from './mutations.json'

const ROOT = join(import.meta.dirname, '..')

it('each small change of the list can still be made, in one place', () => {
  for (const { file, from, to } of MUTATIONS) {
    const source = readFileSync(join(ROOT, file), 'utf8')
    expect([file, from, source.split(from).length - 1]).toEqual([file, from, 1])
    expect(to).not.toBe(from)
  }
})
