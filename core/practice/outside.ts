import { quantityInfo, type Quantity } from '../quantity'
import { truthOf, type RigState } from '../rig'
import { planOf } from '../rules'
import { kindHas, modulationOf, resolveTarget, type MeasurePoint, type ModelSheet } from '../sheet'
import { putFor } from './putFor'

export interface Outside {
  readonly rowId: string
  readonly row: string
  readonly quantity: Quantity
  readonly value: number
  readonly low: number | null
  readonly high: number | null
}

/**
 * Rows that a control of the set decides, named in words: they are judged only where the hands have left it,
 * and that is not one value.
 */
const BY_HAND = /RF power|half carrier|AM mark/

/**
 * What of the sheet's matrix the set would not keep now, by its true values.
 * Left out are rows whose control is named in words, speech, rows of other bands of a set that is tuned by
 * hand, and menu values.
 */
export function outsideOf(state: RigState, sheet: ModelSheet): Outside[] {
  const handTuned = kindHas(sheet.kind, 'valves')
  return sheet.matrix
    .filter(
      p =>
        !BY_HAND.test(p.state.setting) &&
        modulationOf(p.state) !== 'speech' &&
        !(handTuned && p.state.channel !== null && p.state.channel !== state.controls.channel),
    )
    .flatMap(p => outsideRow(state, sheet, p))
}

function outsideRow(state: RigState, sheet: ModelSheet, point: MeasurePoint): Outside[] {
  const judged = point.wants.filter(w => w.target !== null && w.quantity !== 'menuCode')
  if (judged.length === 0) return []
  const spectral = judged.some(w => ['adjacentDbc', 'imd3Db'].includes(w.quantity))
  const { values } = truthOf(putFor(state, point), spectral)
  return judged.flatMap(w => {
    const window = resolveTarget(w.target!, planOf(sheet), point.state.channel, () => undefined)?.window
    const value = values[w.quantity]
    if (!window || value === null || value === undefined) return []
    const slack = Math.abs(value) * 1e-9 + 1e-12
    const out =
      (window.low !== null && value < window.low - slack) ||
      (window.high !== null && value > window.high + slack)
    return out && Number.isFinite(quantityInfo(w.quantity).perSi)
      ? [
          {
            rowId: point.id,
            row: point.title,
            quantity: w.quantity,
            value,
            low: window.low,
            high: window.high,
          },
        ]
      : []
  })
}
