import { describe, expect, it } from 'vitest'
import { rowTaken } from '../../test/fixtures/jobEvents'
import { ruleSet } from '#core/rules'
import { modelSheet } from '#core/sheet'
import { jobState } from '#core/work'
import { menuAsLeft } from './menuAsLeft'

const M9 = modelSheet('corvid-m9')
const row = (phase: 'as-found' | 'as-left', pointId: string, menuCode: number) =>
  rowTaken(phase, null, pointId, { menuCode }, { mode: 'AM', channel: null })
const told = (...events: Parameters<typeof jobState>[2]) =>
  menuAsLeft(jobState(M9, ruleSet('R-EU'), events).compared)

describe('menu values for whoever works on the set next', () => {
  it('are told as they were left, with what they were', () =>
    expect(
      told(
        row('as-found', 'menu-P1', 0x51),
        row('as-found', 'menu-D1', 0xff),
        row('as-left', 'menu-P1', 0x55),
        row('as-left', 'menu-D1', 0xff),
        row('as-left', 'menu-P2', 0x4c),
      ),
    ).toEqual([
      'Values of the menu as left: Menu P1, home state 55h (51h when it came); ' +
        'Menu P2, home state 4Ch; Menu D1, home state FFh.',
    ]))
  it('are not told from how it came', () => expect(told(row('as-found', 'menu-P1', 0x51))).toEqual([]))
})
