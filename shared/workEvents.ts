import { t } from '#shared/i18n'
import { array, boolean, number, object, string, uuid } from '#shared/yup'
import { UNKNOWN_FIELD } from './unknownField'
import { MAX_CHANNELS_OF_A_SET, MODES } from '#core/rules'
import { GOES_STALE } from '#core/sheet'
import {
  ANSWERS,
  COMPLAINT_RESULTS,
  CONNECTED_TO,
  METER_AT,
  ITEM_STATES,
  POWER_SEEN,
  WAITS_FOR,
  type WorkEvent,
} from '#core/run'
import { amount, short, text, unit } from './eventFields'
import { PART_TESTED } from './partTest'
import { TRIAL_BODIES } from './trialBody'
import { day } from './day'

const controlPosition = object({
  control: string().trim().label('form.control').max(60).required(),
  position: string().trim().label('form.position').max(60).required(),
}).noUnknown(true, UNKNOWN_FIELD)

const antennaMatch = object({
  forwardW: unit('form.forwardPower', 5000),
  reflectedW: unit('form.reflectedPower', 5000).when('forwardW', ([forwardW], schema) =>
    typeof forwardW === 'number' ? schema.max(forwardW, () => t('form.reflectedAboveForward')) : schema,
  ),
  swr: number().label('form.swr').min(1).max(100).nullable().defined(),
  meterAt: string()
    .nullable()
    .oneOf([...METER_AT, null])
    .defined(),
}).noUnknown(true, UNKNOWN_FIELD)

/** Fields of the work beside the readings. The same schema checks forms and requests. */
export const WORK_EVENT_BODIES: Record<WorkEvent['kind'], Record<string, unknown>> = {
  'power-tried': {
    limitA: amount('form.currentLimit', 60).required(),
    idleA: unit('form.idleCurrent', 60),
    seen: string().oneOf(POWER_SEEN).required(),
    partsOut: array(string().trim().label('form.partsOut').min(1).max(40).required()).max(20).optional(),
    text: text('form.note').defined(),
  },
  'item-inspected': {
    itemId: string().max(20).required(),
    state: string().oneOf(ITEM_STATES).required(),
    text: text('form.note').defined(),
  },
  'reminder-set': { condition: string().max(20).required(), text: text('form.reminder').required() },
  'question-asked': {
    text: text('form.question').required(),
    price: short('form.price').defined(),
    consequence: short('form.consequence').defined(),
  },
  'question-answered': {
    questionId: uuid(),
    answer: string().oneOf(ANSWERS).required(),
    text: text('form.answer').defined(),
  },
  'wait-begun': {
    waitsFor: string().oneOf(WAITS_FOR).required(),
    text: text('form.waitingFor').required(),
    untilDay: day('form.until').nullable().defined(),
  },
  'wait-ended': { waitId: uuid(), text: text('form.note').defined() },
  'part-changed': {
    designator: short('form.part').required(),
    partOut: short('form.removed').defined(),
    partIn: short('form.fitted').required(),
    isFinal: boolean().required(),
    text: text('form.note').defined(),
  },
  'part-tested': PART_TESTED,
  'treated': {
    what: short('common.workDone').required(),
    where: short('form.where').defined(),
    text: text('form.note').defined(),
  },
  'complaint-tried': {
    result: string().oneOf(COMPLAINT_RESULTS).required(),
    text: text('form.conditions').defined(),
  },
  ...TRIAL_BODIES,
  'soak-begun': {
    hours: number().label('form.hours').positive().max(1000).required(),
    text: text('form.note').defined(),
  },
  'soak-ended': { soakId: uuid(), passed: boolean().required(), text: text('form.note').defined() },
  'test-made': {
    observableId: string().max(40).required(),
    outcome: string().max(40).required(),
    text: text('form.note').defined(),
  },
  'warm-up-begun': {},
  'unlisted-turned': {
    name: string().trim().label('form.whichAdjuster').max(60).required(),
    role: string().label('form.whatItSets').oneOf(Object.keys(GOES_STALE)).required(),
    startPosition: text('form.startingPosition').defined(),
  },
  'position-noted': { designator: string().max(14).required(), position: short('form.position').required() },
  'settings-noted': {
    channel: number()
      .label('common.channel')
      .integer()
      .min(1)
      .max(MAX_CHANNELS_OF_A_SET)
      .nullable()
      .defined(),
    mode: string()
      .label('common.mode')
      .nullable()
      .oneOf([...MODES, null])
      .defined(),
    connectedTo: string()
      .label('form.connectedTo')
      .nullable()
      .oneOf([...CONNECTED_TO, null])
      .defined(),
    match: antennaMatch
      .default(undefined)
      .optional()
      .test(
        'antenna',
        () => t('form.matchIsOfTheAntenna'),
        (match, { parent }) =>
          match === undefined || (parent as { connectedTo?: unknown }).connectedTo === 'antenna',
      ),
    positions: array(controlPosition.required())
      .label('form.positions')
      .max(40)
      .required()
      .test(
        'written',
        () => t('form.writeAPosition'),
        (list, { parent }) => {
          const { text: note, match } = parent as { text?: unknown; match?: unknown }
          return list.length > 0 || match !== undefined || String(note ?? '').trim() !== ''
        },
      ),
    text: text('form.note').defined(),
  },
  'challenge-kept': {
    readingId: uuid(),
    rule: string().max(8).required(),
    reason: text('common.reason').required(),
  },
  'cause-confirmed': { causeId: string().max(40).required(), text: text('form.note').defined() },
}
