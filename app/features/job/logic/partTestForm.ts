import { typedNumber } from '#core/quantity'
import type { DC_RESULTS, HEATS, PartFigure, PartFigureId, PartKind, PartTested } from '#core/run'
import { partTestPlan, typedFigure } from '#core/work'

/** One figure as it is typed, with the range its type is sold with. */
export interface TypedFigure {
  value: string
  low: string
  high: string
}

/** What belongs to the part at hand, as it is typed. */
export interface PartForm {
  part: string
  dcResult: (typeof DC_RESULTS)[number] | null
  dcGain: string
  figures: Partial<Record<PartFigureId, TypedFigure>>
  rf: string
  falls: boolean | null
  heat: (typeof HEATS)[number] | null
  text: string
}
/** What stays for the next part of the drawer. */
export interface TestSetup {
  partKind: PartKind
  boughtAt: string
  lot: string
  gainFrom: string
  gainTo: string
  reference: string
  testSet: string
  meter: string
  scale: string
  supplyV: string
  supplyA: string
  keyedS: string
}

export const emptyFigure = (): TypedFigure => ({ value: '', low: '', high: '' })
/** @param before the range of a type stays for the next part of it */
export const emptyPart = (before: PartForm['figures'] = {}): PartForm => ({
  part: '',
  dcResult: null,
  dcGain: '',
  figures: Object.fromEntries(Object.entries(before).map(([id, figure]) => [id, { ...figure, value: '' }])),
  rf: '',
  falls: null,
  heat: null,
  text: '',
})
/** 4 W: what a healthy mobile makes (common practice). */
export const usualSetup = (): TestSetup => ({
  partKind: 'transistor',
  boughtAt: '',
  lot: '',
  gainFrom: '',
  gainTo: '',
  reference: '4',
  testSet: '',
  meter: '',
  scale: '',
  supplyV: '',
  supplyA: '',
  keyedS: '',
})

function figuresOf(form: PartForm, kind: PartKind): PartFigure[] {
  return partTestPlan(kind).figures.flatMap(figure => {
    const typed = form.figures[figure]
    const value = typed ? typedFigure(typed.value, figure) : null
    if (!typed || value === null) return []
    return [{ figure, value, low: typedFigure(typed.low, figure), high: typedFigure(typed.high, figure) }]
  })
}

/**
 * The test as it is kept: only what its kind is tested for. An empty field is "not tested"; what is no number
 * stays NaN and is refused by the shared check, by name.
 */
export function partTestEvent(form: PartForm, setup: TestSetup): Omit<PartTested, 'id' | 'atMs'> {
  const plan = partTestPlan(setup.partKind)
  const rfPowerW = plan.byRf ? typedNumber(form.rf) : null
  const { testSet, meter, scale } = setup
  const figures = figuresOf(form, setup.partKind)
  return {
    kind: 'part-tested',
    part: form.part,
    partKind: setup.partKind,
    boughtAt: setup.boughtAt,
    ...(setup.lot.trim() ? { lot: setup.lot } : {}),
    dcResult: plan.dcResults.length > 0 ? form.dcResult : null,
    ...(figures.length > 0 ? { figures } : {}),
    dcGain: plan.hasGain ? typedNumber(form.dcGain) : null,
    gainFrom: plan.hasGain ? typedNumber(setup.gainFrom) : null,
    gainTo: plan.hasGain ? typedNumber(setup.gainTo) : null,
    rfPowerW,
    ...(rfPowerW === null
      ? { rfReferenceW: null }
      : {
          rfReferenceW: typedNumber(setup.reference),
          testSet,
          meter,
          scale,
          supplyV: typedNumber(setup.supplyV),
          supplyA: typedNumber(setup.supplyA),
          keyedS: typedNumber(setup.keyedS),
        }),
    fallsWhileKeyed: plan.byRf ? form.falls : null,
    heat: plan.byHeat ? form.heat : null,
    text: form.text,
  }
}
