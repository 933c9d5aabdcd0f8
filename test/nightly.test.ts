import { describe, expect, it } from 'vitest'
import { backupFolder, isDue, outlived } from '../scripts/lib/nightly.mjs'

const at = (text: string) => new Date(text)
const before = (text: string) => at(text).getTime()

describe('A nightly backup', () => {
  it('is due at once where there is none, and in the night where there is one', () => {
    expect(isDue(null, at('2026-11-29T15:00'))).toBe(true)
    expect(isDue(before('2026-11-28T02:00'), at('2026-11-29T15:00'))).toBe(false)
    expect(isDue(before('2026-11-28T02:00'), at('2026-11-29T02:10'))).toBe(true)
    expect(isDue(before('2026-11-29T02:00'), at('2026-11-29T02:10'))).toBe(false)
  })
  it('that a night was missed for is taken by day', () =>
    expect(isDue(before('2026-11-27T02:00'), at('2026-11-29T09:00'))).toBe(true))

  it('goes into the folder of the workshop, elsewhere, or nowhere', () => {
    expect(backupFolder('/srv/shop', {})).toBe('/srv/shop/backups')
    expect(backupFolder('/srv/shop', { DIAPASON_BACKUPS: '/mnt/other' })).toBe('/mnt/other')
    expect(backupFolder('/srv/shop', { DIAPASON_BACKUPS: 'off' })).toBeNull()
  })

  it('is kept for fourteen days, and the first of each month for good', () => {
    const two = (n: number) => String(n).padStart(2, '0')
    const backups = Array.from({ length: 70 }, (_, i) => new Date(2026, 8, 1 + i, 2))
      .map(day => ({
        name: `nightly-2026-${two(day.getMonth() + 1)}-${two(day.getDate())}-0200.diapason`,
        atMs: day.getTime(),
      }))
      .reverse()
    const gone = new Set(outlived(backups))
    const kept = backups.filter(b => !gone.has(b.name)).map(b => b.name.slice(8, 18))
    expect(kept).toEqual([...backups.slice(0, 14).map(b => b.name.slice(8, 18)), '2026-10-01', '2026-09-01'])
  })
})
