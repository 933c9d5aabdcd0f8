import type { DC_RESULTS, PartFigureId, PartKind } from '../run'

type DcResult = (typeof DC_RESULTS)[number]

/** What is tested on one kind of part, and what accepts it. */
export interface PartTestPlan {
  /** a DC gain is read */
  readonly hasGain: boolean
  /** tried with RF in a healthy set; only that accepts it */
  readonly byRf: boolean
  /** heat within seconds is a finding: a valve is hot by nature */
  readonly byHeat: boolean
  /** what a tester can say; empty = nothing */
  readonly dcResults: readonly DcResult[]
  /** figures that are read; those that decide come first */
  readonly figures: readonly PartFigureId[]
  /** figures without which it is not accepted */
  readonly decides: readonly PartFigureId[]
}

const JUNCTIONS: readonly DcResult[] = ['good', 'short', 'open', 'leaky']
const PLAN: PartTestPlan = {
  hasGain: false,
  byRf: false,
  byHeat: false,
  dcResults: JUNCTIONS,
  figures: [],
  decides: [],
}

/** Common practice: what passes at DC is not proven at RF; a meter diode is never asked for RF. */
const PLANS: Readonly<Record<PartKind, PartTestPlan>> = {
  transistor: { ...PLAN, hasGain: true, byRf: true, byHeat: true },
  mosfet: { ...PLAN, byRf: true, byHeat: true, figures: ['gate-threshold'] },
  valve: { ...PLAN, byRf: true, figures: ['cathode-current', 'grid-current'] },
  diode: { ...PLAN, figures: ['forward-drop'], decides: ['forward-drop'] },
  capacitor: { ...PLAN, figures: ['capacitance', 'series-resistance'], decides: ['capacitance'] },
  crystal: {
    ...PLAN,
    dcResults: [],
    figures: ['crystal-frequency', 'series-resistance'],
    decides: ['crystal-frequency'],
  },
  other: PLAN,
}

export const partTestPlan = (kind: PartKind): PartTestPlan => PLANS[kind]
