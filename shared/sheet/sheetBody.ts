import { t, type MessageCode } from '#shared/i18n'
import { ValidationError, array, lazy, mixed, number, object, string, uuid } from '#shared/yup'
import {
  ADJUSTER_KINDS,
  ADJUSTER_ROLES,
  MENU_LAWS,
  RAISED_BY,
  SET_KINDS,
  SHEET_TEMPLATES,
  checkSheet,
  type ModelSheet,
} from '#core/sheet'
import { sheetProblemWords } from '../words/sheetWords'
import {
  closed,
  finite,
  list,
  measurePoint,
  mode,
  named,
  nameOrNone,
  oneOfKinds,
  orNothing,
  boardPosition,
  quantity,
  side,
  words,
  yes,
} from './fields'
import { day } from '../day'
import { planBands } from './planBands'
import { scheme } from './scheme'
import { SHEET_ID } from './sheetId'

const range = (label: MessageCode) =>
  closed({
    low: number().label(label).min(0).required(),
    high: number().label(label).min(0).required(),
  }).required()

const adjuster = closed({
  designator: named('form.designator', 14),
  kind: string().label('form.kind').oneOf(ADJUSTER_KINDS).required(),
  role: string().label('form.roleInTheCircuit').oneOf(ADJUSTER_ROLES).required(),
  name: named('common.name'),
  moves: words('common.affects', 300),
  where: words('form.where', 300),
  turn: words('common.direction', 300),
  tool: words('common.tool', 200),
  caution: orNothing('form.caution'),
  raisedBy: string().oneOf(RAISED_BY).optional(),
  law: string().oneOf(MENU_LAWS).optional(),
  modes: array(mode()).max(8).optional(),
  board: boardPosition(),
}).required()

const CRITERIA = {
  spread: { quantity: quantity(), maxDb: number().label('form.spread').positive().max(60).required() },
  peak: {
    quantity: quantity(),
    gainDb: number().label('form.gainOfAPass').positive().max(10).required(),
    seek: string().oneOf(['largest', 'smallest']).optional(),
  },
}
const ACTIONS = {
  'keys': {
    words: words('form.inWords'),
    keys: list(named('form.key', 30), 20),
    withinS: number().label('form.within').positive().max(120).required(),
  },
  'hold': { words: words('form.inWords'), holdS: number().label('form.held').positive().max(120).required() },
  'power-cycle': { words: words('form.inWords'), reread: list(named('form.entry', 14), 40) },
  'reverts': { words: words('form.inWords') },
}
const bias = closed({
  by: string().oneOf(['rise', 'stage-current', 'gate-voltage']).required(),
  devices: list(named('form.device', 60), 12),
  stageV: number().label('form.supplyOfTheStage').positive().max(3000).required(),
  mostW: number().label('form.dissipation').positive().max(5000).required(),
  tickA: number().label('form.oneDivision').positive().max(10).nullable().defined(),
})

const step = closed({
  id: named('form.step', 20),
  title: named('form.title'),
  instruction: words('form.instruction'),
  why: words('common.reason'),
  cautions: list(words('form.caution'), 20),
  points: list(measurePoint, 40),
  criterion: oneOfKinds('form.condition', CRITERIA, true),
  adjusters: list(named('form.designator', 14), 40),
  needs: list(named('form.step', 20), 40),
  skipIf: orNothing('form.notNeededIf', 20),
  decides: yes(),
  keyDownLimitS: number().label('Key-down').positive().max(600).nullable().defined(),
  actions: array(oneOfKinds('form.action', ACTIONS)).max(10).optional(),
  bias: bias.optional().default(undefined),
}).required()

const shape = closed({
  id: string()
    .label('Id')
    .matches(SHEET_ID, () => t('form.idSmallLettersDigitsAnd'))
    .required(),
  kind: string().label('form.kindOfSet').oneOf(SET_KINDS).required(),
  model: named('common.model', 100),
  description: words('form.description', 500),
  revision: number().integer().min(1).required(),
  revisedOn: day('form.revisedOn').required(),
  planId: named('form.channelPlan', 40),
  bands: planBands().optional(),
  main: closed({
    mode: mode(),
    fromChannel: number().integer().min(1).max(400).required(),
    toChannel: number().integer().min(1).max(400).required(),
    setting: words('form.setting', 200),
  }).required(),
  defaultRuleSetId: named('common.ruleSet', 20),
  nominalSupplyV: number().label('form.supply').positive().max(1000).required(),
  load: words('form.load', 200),
  plateV: finite('form.plateVoltage').optional(),
  idleA: range('form.currentOnReceive'),
  keyedA: range('form.currentKeyed'),
  cautions: list(words('form.caution'), 40),
  specification: list(
    closed({
      what: named('form.what', 100),
      value: words('form.value', 500),
      source: words('common.source', 300),
    }).required(),
    100,
  ),
  adjusters: list(adjuster, 300),
  matrix: list(measurePoint, 200),
  procedure: list(step, 100),
  owed: list(
    closed({
      id: named('form.item', 60),
      title: named('form.title'),
      why: words('common.reason'),
      doneBy: string().label('sheet.doneBy').oneOf(['settings-card']).optional(),
    }).required(),
    60,
  ),
  powerNames: closed({
    high: nameOrNone('sheet.nameOfMostPower', 60),
    low: nameOrNone('sheet.nameOfLeastPower', 60),
  })
    .optional()
    .default(undefined),
  powerControls: array(
    closed({
      name: named('form.powerControl', 100),
      lowestPointId: named('form.lowestEnd', 40),
      highestPointId: named('form.highestEnd', 40),
    }).required(),
  )
    .max(10)
    .optional(),
  testPoints: array(
    closed({
      id: named('form.testPoint', 20),
      name: named('common.name'),
      where: words('form.where', 300),
      expected: words('form.expected', 300),
      caution: orNothing('form.caution'),
      board: boardPosition(),
    }).required(),
  )
    .max(100)
    .optional(),
  boards: array(
    closed({
      side: side().required(),
      drawing: orNothing('form.drawing', 60),
      pictureId: uuid().nullable().defined(),
    }).required(),
  )
    .max(2)
    .optional(),
  scheme: scheme.optional().default(undefined),
  inspection: array(
    closed({
      id: named('form.item', 20),
      lookFor: named('form.lookFor', 300),
      good: words('form.good', 300),
      bad: words('form.bad', 300),
    }).required(),
  )
    .max(60)
    .optional(),
  typicalFaults: array(
    closed({
      seen: named('form.symptom', 300),
      cause: words('form.cause', 300),
      cure: words('form.remedy', 300),
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
  family: string()
    .oneOf(SHEET_TEMPLATES.map(f => f.id))
    .optional(),
  driftLimitHzPerMin: number().label('form.driftLimit').positive().max(1000).optional(),
})

const notASheet = () => t('form.notASheet')

/**
 * A whole model sheet: first every field in its form, then everything that it names in it.
 * The same schema checks the editor, an import and the request.
 */
export const sheetBody = mixed()
  .required()
  .test('sheet', notASheet, async function (value) {
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
