import type { ModelSheet, Step } from '../modelSheet'
import { OSMUND_40A } from '../osmund40a/sheet'
import { USUAL_KEY_DOWN_S } from '../stepBase'

/** Keyed, without modulation, in the middle of the plan. */
const STATE = {
  mode: OSMUND_40A.main.mode,
  channel: 19,
  keyed: true,
  lowPower: false,
  toneHz: null,
  toneV: null,
  inputV: null,
  coverage: 'standard',
  setting: '',
  also: null,
} as const

/** An empty sheet: one keyed row as found, one step; the rest is written by hand. */
export function blankSheet(id: string, model: string, day: string): ModelSheet {
  return {
    id,
    kind: 'am-mobile',
    model,
    description: model,
    revision: 1,
    revisedOn: day,
    planId: OSMUND_40A.planId,
    main: OSMUND_40A.main,
    defaultRuleSetId: 'R-SHOP',
    nominalSupplyV: 13.8,
    load: OSMUND_40A.load,
    idleA: { low: 0.1, high: 1 },
    keyedA: { low: 0.5, high: 3 },
    cautions: ['Dummy load for every transmission; never align into an antenna.'],
    specification: [],
    adjusters: [],
    owed: [],
    matrix: [
      {
        id: 'carrier',
        title: 'Channel 19, carrier',
        state: STATE,
        wants: [
          { quantity: 'powerW', target: null, judgeLimit: true },
          { quantity: 'carrierHz', target: null, judgeLimit: true },
        ],
      },
    ],
    procedure: [firstStep()],
  }
}

function firstStep(): Step {
  return {
    id: '1',
    title: 'Power check before adjustment',
    instruction: 'Measure before any adjustment.',
    why: 'What is within tolerance stays as it is.',
    cautions: ['Dummy load on the antenna socket. Never align into an antenna.'],
    points: [
      {
        id: 'power',
        title: 'Channel 19',
        state: STATE,
        wants: [{ quantity: 'powerW', target: null, judgeLimit: true }],
      },
    ],
    criterion: null,
    adjusters: [],
    needs: [],
    skipIf: null,
    decides: false,
    keyDownLimitS: USUAL_KEY_DOWN_S,
  }
}
