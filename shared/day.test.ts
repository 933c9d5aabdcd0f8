import { describe, expect, it } from 'vitest'
import { modelSheet } from '#core/sheet'
import { blockedPeriodBody } from './blockedPeriod'
import { day, isDay } from './day'
import { instrumentBody } from './instrument'
import { intakeBody } from './job'
import { ruleSetBody } from './ruleSet'
import { sheetBody } from './sheet/sheetBody'
import { WORK_EVENT_BODIES } from './workEvents'
import { object, type ObjectShape } from 'yup'

describe('a day', () => {
  it.each([
    ['2026-02-28', true],
    ['2024-02-29', true],
    ['2026-02-29', false],
    ['2026-02-31', false],
    ['2026-13-01', false],
    ['2026-11-31', false],
    ['27.11.2026', false],
    ['2026-11-27T10:00', false],
  ])('%s: %s', (text, real) => expect(isDay(text)).toBe(real))
  it('names its field, what is wrong and the form', async () => {
    await expect(day('common.dueDate').validate('27.11.2026')).rejects.toThrow(
      'Due date: use the form 2026-11-27',
    )
    await expect(day('common.dueDate').validate('2026-02-31')).rejects.toThrow(
      'Due date: this day does not exist',
    )
    await expect(day('common.dueDate').validate('')).resolves.toBe('')
  })
  it('is checked in a sheet too', async () => {
    const sheet = { ...modelSheet('osmund-27f'), revisedOn: '2026-02-31' }
    await expect(sheetBody.validate(sheet)).rejects.toThrow('Revised on: this day does not exist')
  })
  it.each([
    ['intake', intakeBody, 'promisedOn', 'Due date'],
    ['blocked days', blockedPeriodBody, 'fromDay', 'First day'],
    ['instrument', instrumentBody, 'calibratedOn', 'Calibrated'],
    ['rule set', ruleSetBody, 'asOf', 'As of'],
    ['hold', object(WORK_EVENT_BODIES['wait-begun'] as ObjectShape), 'untilDay', 'Until'],
  ] as const)('is checked alike in %s', async (_what, schema, field, label) => {
    const refused = await schema.validate({ [field]: '2026-02-31' }, { abortEarly: false }).then(
      () => [],
      (error: { errors: string[] }) => error.errors,
    )
    expect(refused.join('\n')).toContain(`${label}: this day does not exist`)
  })
})
