import { describe, expect, it } from 'vitest'
import { partTestedBody } from '#shared/partTest'
import { emptyPart, partTestEvent, usualSetup, type PartForm, type TestSetup } from './partTestForm'

const event = (part: Partial<PartForm>, setup: Partial<TestSetup> = {}) =>
  partTestEvent({ ...emptyPart(), part: 'D14', ...part }, { ...usualSetup(), ...setup })
const refusal = async (tested: object) => {
  const body = { ...tested, id: '00000000-0000-4000-8000-000000000001', atMs: 1 }
  return partTestedBody.validate(body, { strict: true }).then(
    () => null,
    (error: { path: string }) => error.path,
  )
}

describe('the test of a part as it is kept', () => {
  it('a diode is not asked for RF: what stood in those fields for a transistor stays behind', async () => {
    const diode = event(
      {
        dcResult: 'good',
        figures: { 'forward-drop': { value: '0,31', low: '0.2', high: '0.4' } },
        rf: '3.8',
      },
      { partKind: 'diode', gainFrom: '40' },
    )
    expect(diode).toMatchObject({
      partKind: 'diode',
      figures: [{ figure: 'forward-drop', value: 0.31, low: 0.2, high: 0.4 }],
      rfPowerW: null,
      gainFrom: null,
      fallsWhileKeyed: null,
    })
    expect(diode).not.toHaveProperty('testSet')
    expect(await refusal(diode)).toBeNull()
  })
  it('an RF test keeps its set, its meter, its supply and its seconds', async () => {
    const tested = event(
      { rf: '3.8', falls: false, heat: 'warm' },
      { testSet: 'jig', scale: '5 W', supplyV: '13.8', supplyA: '0.9', keyedS: '5', lot: '88A' },
    )
    expect(tested).toMatchObject({ rfReferenceW: 4, supplyV: 13.8, supplyA: 0.9, keyedS: 5, lot: '88A' })
    expect(await refusal(tested)).toBeNull()
  })
  it('an empty range is not known, and empty fields are not tested', async () => {
    const bare = event(
      { figures: { capacitance: { value: '22 pF', low: '', high: '' } } },
      { partKind: 'capacitor' },
    )
    expect(bare.figures).toEqual([
      { figure: 'capacitance', value: expect.closeTo(22e-12, 18), low: null, high: null },
    ])
    expect(event({}, { partKind: 'crystal' })).not.toHaveProperty('figures')
    expect(await refusal(bare)).toBeNull()
  })
  it.each([
    ['no number', { figures: { capacitance: { value: 'about 20', low: '', high: '' } } }, 'figures[0].value'],
    ['another unit', { figures: { capacitance: { value: '1e12', low: '', high: '' } } }, 'figures[0].value'],
    [
      'a range upside down',
      { figures: { capacitance: { value: '95', low: '120', high: '80' } } },
      'figures[0].high',
    ],
  ])('%s is refused at its field', async (_what, part, path) => {
    expect(await refusal(event(part, { partKind: 'capacitor' }))).toBe(path)
  })
})
