import { describe, expect, it } from 'vitest'
import { ValidationError } from 'yup'
import { instrumentBody } from './instrument'
import { BARE_INSTRUMENT } from './instrumentSetup'
import { intakeBody } from './job'
import { jobTag } from './jobTag'
import { jobEventBody } from './jobEvents'
import { rowTaken, confirmed } from '../test/fixtures/jobEvents'

const strict = { strict: true } as const
const event = (change: object) => jobEventBody.validate({ ...confirmed('A1.5'), ...change }, strict)
const reading = (change: object) => {
  const row = rowTaken('as-found', null, 'high-20', { powerW: 3.9 }) as unknown as { readings: object[] }
  return jobEventBody.validate({ ...row, readings: [{ ...row.readings[0], ...change }] }, strict)
}

describe('job events', () => {
  it('pass when they are well formed', async () => {
    await expect(event({})).resolves.toBeTruthy()
    await expect(reading({})).resolves.toBeTruthy()
  })
  it.each([
    [{ value: -1 }, /Power, average.*negative/],
    [{ value: Infinity }, /not a finite/],
    [{ value: '3.9' }, /Value/],
    [{ value: null }, /Value|value/],
    [{ value: 1e12 }, /outside 0 to 2000 W/],
    [{ quantity: 'smellW' }, /Quantity/],
    [{ standardUncertainty: -1 }, /standardUncertainty/],
    [{ source: 'guessed' }, /source/],
    [{ id: 'x' }, /UUID/i],
    [{ extra: 1 }, /extra/],
  ])('reading with %j is refused, the field named', async (change, words) => {
    await expect(reading(change)).rejects.toThrow(words)
  })
  it.each([
    [{ kind: 'party' }, /kind/],
    [{ outcome: 'perhaps' }, /outcome/],
    [{ atMs: 1.5 }, /atMs/],
    [{ atMs: -1 }, /atMs/],
    [{ strange: true }, /strange/],
    [{ reason: 'x'.repeat(10_001) }, /Reason.*10000/],
  ])('event with %j is refused, the field named', async (change, words) => {
    await expect(event(change)).rejects.toThrow(words)
  })
  it('nothing at all is refused', async () => {
    for (const body of [undefined, null, 3, 'x', [], {}])
      await expect(jobEventBody.validate(body, strict)).rejects.toThrow(ValidationError)
  })
})

describe('intake', () => {
  const intake = {
    owner: 'Barge Heron',
    contact: '',
    sheetId: 'osmund-27f',
    ruleSetId: 'R-UK27',
    serial: '41877',
    complaint: 'weak',
    claims: [
      {
        id: '00000000-0000-4000-8000-000000000001',
        quantity: 'powerW' as const,
        kind: 'under' as const,
        value: 3,
        meter: '',
      },
    ],
    accessories: '',
    mayDo: '',
    promisedOn: null,
  }
  it('passes with what it needs', async () => {
    await expect(intakeBody.validate(intake, strict)).resolves.toEqual(intake)
  })
  it.each([
    [
      {
        claims: [
          {
            ...{ id: '00000000-0000-4000-8000-000000000001', quantity: 'powerW', kind: 'under', meter: '' },
            value: -3,
          },
        ],
      },
      /Claim, power, high: -3 W is impossible/,
    ],
    [
      {
        claims: [
          {
            id: '00000000-0000-4000-8000-000000000001',
            quantity: 'powerW',
            kind: 'nearly',
            meter: '',
            value: 3,
          },
        ],
      },
      /kind/,
    ],
    [{ owner: '' }, /Owner/],
    [{ serial: '41\u{1F4FB}877' }, /^Serial number: use letters/],
    [{ serial: 'x'.repeat(61) }, /Serial.*60/],
    [{ complaint: 'x'.repeat(10_001) }, /Complaint.*10000/],
    [{ promisedOn: '27.11.2026' }, /Due date: use the form/],
    [{ promisedOn: '2026-02-30' }, /this day does not exist/],
    [{ extra: 1 }, /extra/],
  ])('%j is refused in words', async (change, words) => {
    await expect(intakeBody.validate({ ...intake, ...change }, strict)).rejects.toThrow(words)
  })
  it('numbers jobs as tags', () => {
    expect(jobTag(231)).toBe('W-0231')
    expect(jobTag(12345)).toBe('W-12345')
  })
})

describe('instruments', () => {
  const body = {
    name: 'Meter',
    profileId: 'scpi-power-meter',
    host: '127.0.0.1',
    port: 5025,
    ...BARE_INSTRUMENT,
  }
  it.each([
    [{ port: 0 }, /Port/],
    [{ port: 70_000 }, /Port/],
    [{ port: 1.5 }, /Port/],
    [{ host: 'a b' }, /Address/],
    [{ host: 'http://x' }, /Address/],
    [{ name: '' }, /Name/],
  ])('%j is refused', async (change, words) => {
    await expect(instrumentBody.validate({ ...body, ...change }, strict)).rejects.toThrow(words)
  })
})
