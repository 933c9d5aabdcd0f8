import { ValidationError, array, lazy, mixed, number, object, string } from 'yup'
import { ADJUSTER_KINDS, ADJUSTER_ROLES, SET_KINDS, checkSheet, type ModelSheet } from '#core/sheet'
import { sheetProblemWords } from '../words/sheetWords'
import {
  closed,
  figure,
  finite,
  list,
  measurePoint,
  mode,
  named,
  oneOfKinds,
  orNothing,
  place,
  quantity,
  side,
  words,
  yes,
} from './fields'
import { day } from '../day'

/** Ids of sheets: what a path and a file name can carry. */
export const SHEET_ID = /^[a-z0-9][a-z0-9-]{0,59}$/
const range = (label: string) =>
  closed({
    low: number().label(label).min(0).required(),
    high: number().label(label).min(0).required(),
  }).required()

const adjuster = closed({
  designator: named('Designator', 14),
  kind: string().label('Kind').oneOf(ADJUSTER_KINDS).required(),
  role: string().label('Role in the circuit').oneOf(ADJUSTER_ROLES).required(),
  name: named('Name'),
  moves: words('Affects', 300),
  where: words('Where', 300),
  turn: words('Direction', 300),
  tool: words('Tool', 200),
  caution: orNothing('Caution'),
  raisedBy: string().oneOf(['clockwise', 'anticlockwise', 'inwards', 'outwards', 'up', 'down']).optional(),
  modes: array(mode()).max(8).optional(),
  board: place(),
}).required()

const CRITERIA = {
  spread: { quantity: quantity(), maxDb: number().label('Spread').positive().max(60).required() },
  peak: {
    quantity: quantity(),
    gainDb: number().label('Gain of a pass').positive().max(10).required(),
    seek: string().oneOf(['largest', 'smallest']).optional(),
  },
}
const ACTIONS = {
  'keys': {
    words: words('In words'),
    keys: list(named('Key', 30), 20),
    withinS: number().label('Within').positive().max(120).required(),
  },
  'hold': { words: words('In words'), holdS: number().label('Held').positive().max(120).required() },
  'power-cycle': { words: words('In words'), reread: list(named('Entry', 14), 40) },
  'reverts': { words: words('In words') },
}
const bias = closed({
  by: string().oneOf(['rise', 'stage-current', 'gate-voltage']).required(),
  devices: list(named('Device', 60), 12),
  stageV: number().label('Supply of the stage').positive().max(3000).required(),
  mostW: number().label('Dissipation').positive().max(5000).required(),
  tickA: number().label('One division').positive().max(10).nullable().defined(),
})

const step = closed({
  id: named('Step', 20),
  title: named('Title'),
  instruction: words('Instruction'),
  why: words('Reason'),
  cautions: list(words('Caution'), 20),
  points: list(measurePoint, 40),
  criterion: oneOfKinds('Condition', CRITERIA, true),
  adjusters: list(named('Designator', 14), 40),
  needs: list(named('Step', 20), 40),
  skipIf: orNothing('Not needed if', 20),
  decides: yes(),
  keyDownLimitS: number().label('Key-down').positive().max(600).nullable().defined(),
  actions: array(oneOfKinds('Action', ACTIONS)).max(10).optional(),
  bias: bias.optional().default(undefined),
}).required()

const scheme = closed({
  baseHz: figure('Base'),
  stepHz: number().label('Step').positive().required(),
  oscillators: list(
    closed({
      id: named('Oscillator', 30),
      name: named('Name'),
      nominalHz: number().label('Nominal').positive().max(3e9).required(),
      adjuster: orNothing('Adjuster', 14),
      priorPpm: number().label('Spread').positive().max(1e5).required(),
    }).required(),
    30,
  ),
  frequencies: list(
    closed({
      id: named('Frequency', 30),
      name: named('Name'),
      quantity: string().nullable().defined(),
      mode: string().nullable().defined(),
      terms: list(
        closed({
          oscillator: named('Oscillator', 30),
          factor: figure('Factor'),
          stepFactor: figure('Factor of the step'),
        }).required(),
        12,
      ),
    }).required(),
    60,
  ),
})

const shape = closed({
  id: string().label('Id').matches(SHEET_ID, 'Id: small letters, digits and -').required(),
  kind: string().label('Kind of set').oneOf(SET_KINDS).required(),
  model: named('Model', 100),
  description: words('Description', 500),
  revision: number().integer().min(1).required(),
  revisedOn: day('Revised on').required(),
  planId: named('Channel plan', 40),
  main: closed({
    mode: mode(),
    fromChannel: number().integer().min(1).max(400).required(),
    toChannel: number().integer().min(1).max(400).required(),
    setting: words('Setting', 200),
  }).required(),
  defaultRuleSetId: named('Rule set', 20),
  nominalSupplyV: number().label('Supply').positive().max(1000).required(),
  load: words('Load', 200),
  plateV: finite('Plate voltage').optional(),
  idleA: range('Current on receive'),
  keyedA: range('Current, keyed'),
  cautions: list(words('Caution'), 40),
  specification: list(
    closed({ what: named('What', 100), value: words('Value', 500), source: words('Source', 300) }).required(),
    100,
  ),
  adjusters: list(adjuster, 300),
  matrix: list(measurePoint, 200),
  procedure: list(step, 100),
  owed: list(closed({ id: named('Item', 60), title: named('Title'), why: words('Reason') }).required(), 60),
  testPoints: array(
    closed({
      id: named('Test point', 20),
      name: named('Name'),
      where: words('Where', 300),
      expected: words('Expected', 300),
      caution: orNothing('Caution'),
      board: place(),
    }).required(),
  )
    .max(100)
    .optional(),
  boards: array(
    closed({
      side: side().required(),
      drawing: orNothing('Drawing', 60),
      pictureId: string().uuid().nullable().defined(),
    }).required(),
  )
    .max(2)
    .optional(),
  scheme: scheme.optional().default(undefined),
  inspection: array(
    closed({
      id: named('Item', 20),
      lookFor: named('Look for', 300),
      good: words('Good', 300),
      bad: words('Bad', 300),
    }).required(),
  )
    .max(60)
    .optional(),
  typicalFaults: array(
    closed({
      seen: named('Symptom', 300),
      cause: words('Cause', 300),
      cure: words('Remedy', 300),
    }).required(),
  )
    .max(100)
    .optional(),
  schools: lazy(v =>
    object(
      Object.fromEntries(
        Object.keys((v as object | undefined) ?? {}).map(k => [
          k,
          string()
            .matches(/^[a-z]$/)
            .required(),
        ]),
      ),
    )
      .optional()
      .default(undefined),
  ),
  driftLimitHzPerMin: number().label('Drift limit').positive().max(1000).optional(),
})

/**
 * A whole model sheet: first every field in its form, then everything that it names in it.
 * The same schema checks the editor, an import and the request.
 */
export const sheetBody = mixed()
  .required()
  .test('sheet', 'This is not a service sheet', async function (value) {
    try {
      await shape.validate(value, { strict: true })
    } catch (error) {
      if (!(error instanceof ValidationError)) throw error
      return this.createError({
        message: error.message,
        path: [this.path, error.path].filter(Boolean).join('.'),
      })
    }
    const problem = checkSheet(value as ModelSheet)[0]
    return problem === undefined || this.createError({ message: sheetProblemWords(problem) })
  })

const who = () => string().trim().label('Who').max(60).defined()
const reason = () => string().trim().label('Reason').max(10_000).defined()
export const newSheetBody = closed({ sheet: sheetBody, who: who(), reason: reason() })
export const sheetPatch = closed({
  from: number().integer().min(1).required(),
  sheet: sheetBody,
  who: who(),
  reason: reason().min(1),
})
