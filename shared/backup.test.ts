import { describe, expect, it } from 'vitest'
import { BACKUP_OLD_MS, isBackupOld } from './backup'

describe('A backup', () => {
  const nowMs = 1_795_000_000_000
  it.each([
    ['of last night', { wanted: true, lastAtMs: nowMs - 1e7 }, false],
    ['of last week', { wanted: true, lastAtMs: nowMs - BACKUP_OLD_MS - 1 }, true],
    ['that was never taken', { wanted: true, lastAtMs: null }, true],
    ['that is taken elsewhere', { wanted: false, lastAtMs: null }, false],
  ] as const)('%s', (_, state, old) => expect(isBackupOld(state, nowMs)).toBe(old))
})
