import { expect, it } from 'vitest'
import { rowTaken } from '../../../../test/fixtures/jobEvents'
import { ruleSet } from '../../../rules'
import { matrixState, runState } from '../../../run'
import { modelSheet } from '../../../sheet'
import { SIDEBAND_OBSERVABLES } from './ofSideband'

const SHEET = modelSheet('larkfield-lx8')
const RULES = ruleSet(SHEET.defaultRuleSetId)
const { source } = SIDEBAND_OBSERVABLES.find(o => o.id === 'ssb-power')!

/** Which outcome most of a PEP belongs to that an instrument has read to 1 in 10,000. */
function outcomeOf(pepW: number): string {
  if (source.kind !== 'readings') throw new Error('read by hand')
  const exact = (event: ReturnType<typeof rowTaken>) =>
    event.kind === 'row-taken'
      ? { ...event, readings: event.readings.map(r => ({ ...r, standardUncertainty: r.value * 1e-4 })) }
      : event
  const taken = exact(rowTaken('as-found', null, 'USB-tone', { pepW }, { mode: 'USB', channel: 139 }))
  const rows = matrixState(SHEET, RULES, runState(SHEET, RULES, [taken]).history, 'as-found')
  const { soft } = source.see(rows, SHEET)!
  return Object.entries(soft).toSorted(([, a], [, b]) => b - a)[0]![0]
}

it('PEP is called low from 5 % below its rating on, high from 12 % above', () => {
  const { low, high } = ratingOf()
  expect([0.02 * high, 0.94 * low, 0.96 * low, high, 1.11 * high, 1.13 * high].map(outcomeOf)).toEqual([
    'none',
    'low',
    'right',
    'right',
    'right',
    'high',
  ])
})

function ratingOf(): { low: number; high: number } {
  const { target } = SHEET.matrix.find(p => p.id === 'USB-tone')!.wants.find(w => w.quantity === 'pepW')!
  if (target?.kind !== 'window' || target.window.low === null || target.window.high === null)
    throw new Error('a rating has both ends')
  return { low: target.window.low, high: target.window.high }
}
