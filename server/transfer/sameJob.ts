import { isDeepStrictEqual } from 'node:util'
import type { JobEvent } from '#core/run'
import type { Intake, Job } from '#shared/job'
import { eventDigest } from '../db/eventChain'
import type { Row } from '../db/queries/transfer'
import { intakeOf } from './checkJobFile'

/** What the fields of an intake are called in a terminal. */
const WORDS: Readonly<Record<keyof Intake, string>> = {
  owner: 'the owner',
  contact: 'the contact',
  sheetId: 'the model',
  ruleSetId: 'the rule set',
  serial: 'the serial number',
  complaint: 'the complaint',
  claims: "the owner's readings",
  accessories: 'what came with it',
  boxNote: 'the note found in the packaging',
  mayDo: 'what was approved in advance',
  promisedOn: 'the due date',
  ownerLanguage: "the owner's language",
}

/** Whether both sides began with the same entries, as far as the shorter one goes. */
export const haveSameBeginning = (ours: readonly JobEvent[], theirs: readonly JobEvent[]): boolean =>
  ours.every((event, i) => !theirs[i] || eventDigest(event).equals(eventDigest(theirs[i])))

/** What of a job is not the same on both sides, in words; ours stays. */
export function differences(here: Job, there: Row): string[] {
  const [ours, theirs] = [intakeOf(here as unknown as Row), intakeOf(there)]
  const words = (Object.keys(ours) as (keyof Intake)[])
    .filter(field => !isDeepStrictEqual(ours[field], theirs[field]))
    .map(field => `${WORDS[field]} differs; ours stays as it is`)
  if (here.onBench === there.onBench) return words
  return [
    ...words,
    here.onBench ? 'it is on the bench here and not there' : 'it is on the bench there and not here',
  ]
}
