import { describe, expect, it } from 'vitest'
import type { Intake, Job } from '../job'
import { differing as differingBy } from './intakeWords'
import { ruleSet } from '#core/rules'

const MINE: Intake = {
  owner: 'Anna',
  contact: '',
  sheetId: 'osmund-27f',
  ruleSetId: 'R-UK27',
  serial: '41877',
  complaint: 'weak',
  claims: [],
  accessories: '',
  boxNote: '',
  mayDo: '',
  promisedOn: null,
  ownerLanguage: '' as const,
}
const differing = (mine: Intake, other: Job) => differingBy(mine, other, id => ruleSet(id).name)
const theirs = (change: Partial<Job>): Job => ({
  ...MINE,
  id: '1',
  number: 231,
  version: 3,
  sheetRevision: 1,
  onBench: true,
  schools: {},
  bench: null,
  benchOrder: 0,
  isPractice: false,
  createdAtMs: 0,
  ...change,
})

describe('two versions of an intake', () => {
  it('are told field by field, in words, and only where they differ', () => {
    expect(differing(MINE, theirs({}))).toEqual([])
    expect(
      differing(MINE, theirs({ owner: 'Bert', ruleSetId: 'R-EU', promisedOn: '2026-12-04', onBench: false })),
    ).toEqual([
      { label: 'Owner', mine: 'Anna', theirs: 'Bert' },
      { label: 'Rule set', mine: 'UK 27 MHz FM', theirs: 'CEPT 27 MHz' },
      { label: 'Due date', mine: 'empty', theirs: expect.stringMatching(/4 Dec/) as string },
    ])
  })
  it('tell claims apart by what they say', () => {
    const claim = { id: '1', quantity: 'powerW' as const, kind: 'under' as const, value: 3, meter: '' }
    expect(
      differing({ ...MINE, claims: [claim] }, theirs({ claims: [{ ...claim, value: 4 }] }))[0],
    ).toMatchObject({
      label: 'Claims',
      mine: expect.stringContaining('3') as string,
      theirs: expect.stringContaining('4') as string,
    })
  })
})
