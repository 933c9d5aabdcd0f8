import { createHash } from 'node:crypto'
import { execFileSync } from 'node:child_process'
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { given, rowsOf } from './carrying'
import { testHouse, type TestHouse } from './house'

/** A workshop that took an archive in, and is given others that are none, or not as they were written. */
let young: TestHouse
const folder = mkdtempSync(join(tmpdir(), 'diapason-broken-'))
const at = (name: string) => join(folder, name)
beforeAll(async () => {
  const [old, empty] = await Promise.all([testHouse(), testHouse({ demo: false })])
  young = empty
  expect(await given(old, 'export', at('whole'))).toMatchObject({ status: 0 })
  await old.stop()
  expect((await given(young, 'import', at('whole'), '--yes')).status).toBe(0)
}, 240_000)
afterAll(async () => {
  await young?.stop()
  rmSync(folder, { recursive: true, force: true })
})

describe('What is no archive, or not whole', () => {
  const repacked = async (change: (unpacked: string) => void) => {
    const unpacked = mkdtempSync(at('unpacked-'))
    execFileSync('tar', ['-xzf', at('whole'), '-C', unpacked])
    change(unpacked)
    const file = `${unpacked}.tgz`
    execFileSync('tar', ['-czf', file, '-C', unpacked, '.'])
    return given(young, 'import', file, '--yes')
  }
  const manifestOf = (unpacked: string) =>
    JSON.parse(readFileSync(join(unpacked, 'manifest.json'), 'utf8')) as {
      jobs: string[]
      files: Record<string, string>
    }

  it('is refused in words, and nothing is changed', async () => {
    const before = await rowsOf(young, 'job_event')
    writeFileSync(at('letter'), 'a letter')
    expect((await given(young, 'import', at('letter'), '--yes')).said).toContain(
      'is no archive of a workshop',
    )
    const damaged = await repacked(unpacked => {
      const [first] = manifestOf(unpacked).jobs
      const path = join(unpacked, 'jobs', `${first!}.json`)
      writeFileSync(path, readFileSync(path, 'utf8').replace('"note"', '"mote"').replace(/\d{4}/, '9999'))
    })
    expect(damaged).toMatchObject({ status: 1, said: expect.stringMatching(/damaged.*Nothing was changed/s) })
    const short = await repacked(unpacked => rmSync(join(unpacked, 'workshop', 'drawer_part.json')))
    expect(short).toMatchObject({ status: 1, said: expect.stringContaining('is not whole') as string })
    expect(await rowsOf(young, 'job_event')).toEqual(before)
  })

  it('with an entry that was changed and a sum that was made to fit shows by its chain', async () => {
    const changed = await repacked(unpacked => {
      const manifest = manifestOf(unpacked)
      const name = Object.keys(manifest.files).find(
        n => n.startsWith('jobs/') && readFileSync(join(unpacked, n), 'utf8').includes('"powerW"'),
      )!
      const text = readFileSync(join(unpacked, name), 'utf8').replace(/("value": )[\d.]+/, '$15')
      writeFileSync(join(unpacked, name), text)
      manifest.files[name] = createHash('sha256').update(text).digest('hex')
      writeFileSync(join(unpacked, 'manifest.json'), JSON.stringify(manifest))
    })
    expect(changed).toMatchObject({
      status: 1,
      said: expect.stringMatching(/is not as it was stored.*Nothing was changed/s) as string,
    })
  })

  it('that is of the demo does not enter a workshop', async () => {
    const demo = await repacked(unpacked => {
      const made = { ...manifestOf(unpacked), demo: true }
      writeFileSync(join(unpacked, 'manifest.json'), JSON.stringify(made))
    })
    expect(demo).toMatchObject({ status: 1, said: expect.stringContaining('with made-up jobs') as string })
  })

  it('reaches no file of this machine by a name or a link', async () => {
    const named = await repacked(unpacked => {
      const manifest = manifestOf(unpacked)
      writeFileSync(
        join(unpacked, 'manifest.json'),
        JSON.stringify({ ...manifest, files: { ...manifest.files, '../../etc/passwd': '0' } }),
      )
    })
    expect(named.said).toContain('names a file that it cannot have')
    const linked = await repacked(unpacked => {
      rmSync(join(unpacked, 'workshop', 'drawer_part.json'))
      execFileSync('ln', ['-s', '/etc/hostname', join(unpacked, 'workshop', 'drawer_part.json')])
    })
    expect(linked.said).toContain('is not whole')
    expect(existsSync('/etc/hostname')).toBe(true)
  })
})
