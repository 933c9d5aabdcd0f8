import { expect, it } from 'vitest'
import { VARIABLE } from '../../../test/fixtures/variablePower'
import { ruleSet } from '../../rules'
import { matrixState, runState } from '../../run'
import { rowsFor } from './rowsFor'

const RULES = ruleSet('R-UK27')

it('what a power control shows between its ends speaks for neither of them', () => {
  const rows = matrixState(VARIABLE, RULES, runState(VARIABLE, RULES, []).history, 'as-found')
  const ids = rowsFor({ modes: null }, rows, VARIABLE).map(r => r.point.id)
  expect(ids).toEqual(expect.arrayContaining(['high-20', 'low-20', 'tone-20', 'receiver']))
  expect(ids).not.toContain('medium')
  expect(ids).not.toContain('least')
})
