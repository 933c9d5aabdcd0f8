import { describe, expect, it } from 'vitest'
import { SHEETS } from '#core/sheet'
import { fromForm, targetUnit, toForm } from './targetForm'

describe('a target in the form', () => {
  const all = SHEETS.flatMap(s =>
    [...s.matrix, ...s.procedure.flatMap(p => p.points)].flatMap(p =>
      p.wants.map(w => [`${s.model} ${p.id} ${w.quantity}`, w] as const),
    ),
  )
  it('comes out of it as it went in, for every target of every sheet', () => {
    for (const [name, { target, quantity }] of all) {
      const back = fromForm(toForm(target, quantity), quantity)
      // The form shows ten digits; a window of 10 dB below 4 W has more.
      const rounded = (v: unknown) =>
        JSON.parse(JSON.stringify(v), (_k, x: unknown) =>
          typeof x === 'number' ? Number(x.toPrecision(9)) : x,
        ) as unknown
      expect(rounded(back), name).toEqual(rounded(target))
    }
  })
  it('takes a comma, leaves an empty bound open, and is told in the unit of the bench', () => {
    expect(fromForm({ ...toForm(null, 'powerW'), kind: 'window', low: '3,6', high: '' }, 'powerW')).toEqual({
      kind: 'window',
      window: { low: 3.6, high: null, aim: null },
    })
    expect(toForm({ kind: 'window', window: { low: 0.05, high: null, aim: null } }, 'stageIdleA').low).toBe(
      '50',
    )
    expect([
      targetUnit('channel-error', 'carrierHz'),
      targetUnit('like-reading', 'powerW'),
      targetUnit('window', 'stageIdleA'),
    ]).toEqual(['Hz', '%', 'mA'])
  })
})
