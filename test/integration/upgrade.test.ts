import { randomUUID } from 'node:crypto'
import { cpSync, existsSync, mkdirSync, mkdtempSync, renameSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { startHouse } from '../../scripts/lib/house.mjs'
import { removeOld, upgradeCluster } from '../../scripts/lib/upgrade.mjs'
import { command as given } from './command'
import { INTAKE } from './house'

/**
 * One version of PostgreSQL is installed: the older one is imitated by its name, and everything else (dump,
 * new cluster, restore, comparison, what is kept) runs as it would.
 */
const folderOfTests = mkdtempSync(join(tmpdir(), 'diapason-upgrade-'))
const folder = join(folderOfTests, 'workshop')
const OLD = '12'
const pg = join(folder, 'pg')
const aside = join(folder, `pg.${OLD}`)
const command = (data: string, ...args: string[]) => given('upgrade', args, { DIAPASON_DATA: data })
async function inHouse<T>(work: (address: string) => Promise<T>): Promise<T> {
  const house = await startHouse({ folder, demo: false, throwAway: true })
  try {
    return await work(house.address)
  } finally {
    await house.stop()
  }
}
const jobIds = () =>
  inHouse(async address =>
    ((await (await fetch(`${address}/api/jobs`)).json()) as { job: { id: string } }[]).map(j => j.job.id),
  )

const jobId = randomUUID()
beforeAll(async () => {
  await inHouse(async address => {
    const { status } = await fetch(`${address}/api/jobs`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ ...INTAKE, id: jobId }),
    })
    expect(status).toBe(201)
  })
}, 240_000)
afterAll(() => rmSync(folderOfTests, { recursive: true, force: true }))

describe('An upgrade of PostgreSQL', () => {
  it('has nothing to do for the newest, and says so', async () => {
    expect(await command(folder)).toEqual({
      status: 0,
      said: expect.stringContaining('Nothing was changed') as string,
    })
    expect((await command(folder, '--remove-old')).said).toContain('no old database')
    expect((await command(folder, '--now')).status).toBe(2)
  })

  it('of a version that is not installed is refused in words, and touches nothing', async () => {
    const other = join(folderOfTests, 'other')
    cpSync(pg, join(other, 'pg'), { recursive: true })
    writeFileSync(join(other, 'pg', 'PG_VERSION'), `${OLD}\n`)
    const { status, said } = await command(other)
    expect([status, said]).toEqual([1, expect.stringContaining(`Install PostgreSQL ${OLD} as well`)])
    expect(existsSync(join(other, `pg.${OLD}`))).toBe(false)
  })

  it('brings every table over, keeps the old one, and work goes on', async () => {
    const done = await upgradeCluster(folder, { from: OLD })
    expect(done).toMatchObject({ from: OLD, aside })
    expect(done!.tables.job!.rows).toBe(1)
    expect([existsSync(pg), existsSync(aside), existsSync(join(folder, 'upgrade.d'))]).toEqual([
      true,
      true,
      false,
    ])
    expect(await jobIds()).toEqual([jobId])
  })

  it('stopped between its two moves is no empty workshop: it is refused, and begun anew', async () => {
    // One of an upgrade before that was never removed: the newest counts.
    mkdirSync(join(folder, 'pg.9'))
    renameSync(pg, join(folderOfTests, 'new'))
    await expect(jobIds()).rejects.toThrow(/An upgrade of the database in .* did not end/)
    expect(await upgradeCluster(folder, { from: OLD })).toMatchObject({ from: OLD })
    expect(await jobIds()).toEqual([jobId])
    await expect(upgradeCluster(folder, { from: OLD })).rejects.toThrow(/is there already/)
  })

  it('is confirmed by removing the old one, never while nothing stands in its place', async () => {
    renameSync(pg, join(folderOfTests, 'away'))
    expect(() => removeOld(folder)).toThrow(/Nothing was removed/)
    renameSync(join(folderOfTests, 'away'), pg)
    expect(await command(folder, '--remove-old')).toEqual({
      status: 0,
      said: expect.stringContaining(`pg.${OLD}`) as string,
    })
    expect(existsSync(aside)).toBe(false)
    expect(await jobIds()).toEqual([jobId])
  })
})
