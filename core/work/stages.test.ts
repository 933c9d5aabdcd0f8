import { describe, expect, it } from 'vitest'
import { confirmed, eventStruck, rowTaken, settled } from '../../test/fixtures/jobEvents'
import type { Quantity } from '../quantity'
import { ruleSet } from '../rules'
import type { JobEvent } from '../run'
import { OSMUND_27F } from '../sheet/osmund27f/sheet'
import { jobState } from './index'

const done = (events: readonly JobEvent[]) => jobState(OSMUND_27F, ruleSet('R-UK27'), events).done

/** What a healthy set shows in every row of the as-found table, or some other high power. */
function asFound(highW = 3.8): JobEvent[] {
  return OSMUND_27F.matrix.map(({ id, state, wants }) => {
    const values: Partial<Record<Quantity, number>> = {
      carrierHz: 27_591_250 + (state.channel ?? 0) * 10_000 + 10,
      powerW: state.lowPower ? 0.37 : highW,
      referenceHz: 10_240_000,
      supplyV: 13.8,
      supplyA: 1.4,
      deviationPositiveHz: 2400,
      deviationNegativeHz: 2380,
      panelPowerW: 4,
      sensitivityV: 0.3e-6,
    }
    const asked = Object.fromEntries(wants.map(w => [w.quantity, values[w.quantity]!]))
    const { channel, lowPower, toneHz } = state
    return rowTaken('as-found', null, id, asked, { channel, lowPower, toneHz })
  })
}
const cause = (): JobEvent => ({
  id: '70000000-0000-4000-8000-000000000001',
  atMs: 1_796_000_000_000,
  kind: 'cause-confirmed',
  causeId: 'C01',
  text: '',
})

describe('findings', () => {
  it('are complete with a healthy set, never before every row was measured', () => {
    expect(done(asFound())).toMatchObject({ 'as-found': true, 'findings': true })
    expect(done(asFound().slice(1))).toMatchObject({ 'as-found': false, 'findings': false })
  })
  it('need no row that was left out with a reason; as left it has to hold, or words say why not', () => {
    const [left] = OSMUND_27F.matrix
    const without = asFound().filter(e => e.kind !== 'row-taken' || e.pointId !== left!.id)
    const said = settled(`as-found:${left!.id}`, 'no generator on this bench')
    expect(done([...without, said])).toMatchObject({ 'as-found': true, 'findings': true })
    expect(done([...without, eventStruck(said.id), said])['as-found'], 'struck out').toBe(false)
    const asLeft = OSMUND_27F.matrix.map(p => settled(`as-left:${p.id}`, 'checked only'))
    expect(done(asLeft.slice(1))['as-left']).toBe(false)
    expect(done(asLeft)['as-left']).toBe(true)
  })
  it('are open while a reading outside is not explained: a cause found or a step done does it', () => {
    const weak = asFound(2.9)
    expect(done(weak)).toMatchObject({ 'as-found': true, 'findings': false, 'repair': false })
    expect(done([...weak, cause()])).toMatchObject({ findings: true, repair: true })
    expect(done([...weak, confirmed('A1.10')])).toMatchObject({ findings: true, repair: true })
  })
})
