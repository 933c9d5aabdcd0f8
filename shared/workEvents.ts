import { boolean, number, object, string } from 'yup'
import { UNKNOWN_FIELD } from './unknownField'
import { GOES_STALE } from '#core/sheet'
import { ANSWERS, HEATS, ITEM_STATES, POWER_SEEN, WAITS_FOR, type WorkEvent } from '#core/run'
import { text, uuid } from './eventFields'
import { day } from './day'

const short = (label: string) => string().trim().label(label).max(300)
const amount = (label: string, max: number) => number().label(label).min(0).max(max)
const unit = (label: string, max: number) => amount(label, max).nullable().defined()

/** Fields of the work beside the readings. The same schema checks forms and requests. */
export const WORK_EVENT_BODIES: Record<WorkEvent['kind'], Record<string, unknown>> = {
  'power-tried': {
    limitA: amount('Current limit', 60).required(),
    idleA: unit('Idle current', 60),
    seen: string().oneOf(POWER_SEEN).required(),
    text: text('Note').defined(),
  },
  'item-inspected': {
    itemId: string().max(20).required(),
    state: string().oneOf(ITEM_STATES).required(),
    text: text('Note').defined(),
  },
  'reminder-set': { condition: string().max(20).required(), text: text('Reminder').required() },
  'question-asked': {
    text: text('Question').required(),
    price: short('Price').defined(),
    consequence: short('Consequence').defined(),
  },
  'question-answered': {
    questionId: uuid(),
    answer: string().oneOf(ANSWERS).required(),
    text: text('Answer').defined(),
  },
  'wait-begun': {
    waitsFor: string().oneOf(WAITS_FOR).required(),
    text: text('Waiting for').required(),
    untilDay: day('Until').nullable().defined(),
  },
  'wait-ended': { waitId: uuid(), text: text('Note').defined() },
  'part-changed': {
    designator: short('Part').required(),
    partOut: short('Removed').defined(),
    partIn: short('Fitted').required(),
    isFinal: boolean().required(),
    text: text('Note').defined(),
  },
  'part-tested': {
    part: short('Part').required(),
    boughtAt: short('Bought from').defined(),
    dcGain: unit('DC gain', 10_000),
    rfPowerW: unit('RF power', 2000),
    rfReferenceW: unit('Reference power', 2000),
    gainFrom: amount('Gain of its type, from', 10_000).nullable(),
    gainTo: amount('Gain of its type, to', 10_000).nullable(),
    testSet: short('Test set'),
    meter: short('Meter'),
    scale: short('Scale'),
    fallsWhileKeyed: boolean().nullable().defined(),
    heat: string().oneOf(HEATS).nullable().defined(),
    text: text('Note').defined(),
  },
  'treated': {
    what: short('Work done').required(),
    where: short('Where').defined(),
    text: text('Note').defined(),
  },
  'soak-begun': {
    hours: number().label('Hours').positive().max(1000).required(),
    text: text('Note').defined(),
  },
  'soak-ended': { soakId: uuid(), passed: boolean().required(), text: text('Note').defined() },
  'test-made': {
    observableId: string().max(40).required(),
    outcome: string().max(40).required(),
    text: text('Note').defined(),
  },
  'warm-up-begun': {},
  'unlisted-turned': {
    name: string().trim().label('Which adjuster').max(60).required(),
    role: string().label('What it sets').oneOf(Object.keys(GOES_STALE)).required(),
    startPosition: text('Starting position').defined(),
  },
  'position-noted': { designator: string().max(14).required(), position: short('Position').required() },
  'challenge-kept': {
    readingId: uuid(),
    rule: string().max(8).required(),
    reason: text('Reason').required(),
  },
  'cause-confirmed': { causeId: string().max(40).required(), text: text('Note').defined() },
}

/** A test of a part that belongs to no job: the same fields as on one. */
export const partTestedBody = object({
  id: uuid(),
  atMs: number().integer().min(0).max(8.64e15).required(),
  kind: string().oneOf(['part-tested']).required(),
  ...(WORK_EVENT_BODIES['part-tested'] as object),
}).noUnknown(true, UNKNOWN_FIELD)
