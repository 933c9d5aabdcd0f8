import { array, boolean, mixed, number, object, string, type InferType, uuid } from '#shared/yup'
import { TOOLS, type Tool } from '#core/circuit'
import { MODES, type Mode } from '#core/rules'
import { COVERAGES, type Coverage } from '#core/sheet'
import type { PartGroup } from '#core/rig'
import { UNKNOWN_FIELD } from './unknownField'

const DESIGNATOR = string().max(12)
const GROUP = string<PartGroup>().max(30)
/** What a person can do to the simulated set and the bench in front of it. Unknown fields are refused. */
export const practiceChange = object({
  adjusters: array(
    object({
      designator: DESIGNATOR.required(),
      position: number().min(-100_000).max(100_000).required(),
      tool: string<Tool>().oneOf(TOOLS).optional(),
      forced: boolean().optional(),
    }).noUnknown(true, UNKNOWN_FIELD),
  )
    .max(20)
    .optional(),
  mode: string<Mode>().oneOf(MODES).optional(),
  channel: number().integer().min(1).max(240).optional(),
  keyed: boolean().optional(),
  lowPower: boolean().optional(),
  coverage: string<Coverage>().oneOf(COVERAGES).optional(),
  powerOn: boolean().optional(),
  driveOff: boolean().optional(),
  micGain: number().min(0).max(1).optional(),
  clarifier: number().min(0).max(1).optional(),
  toneOn: boolean().optional(),
  twoTones: boolean().optional(),
  toneHz: number().min(50).max(10_000).optional(),
  toneLevelV: number().min(0).max(0.5).optional(),
  whistle: boolean().optional(),
  otherMicrophone: boolean().optional(),
  inputV: number().min(0).max(0.1).optional(),
  supplyV: number().min(0).max(300).optional(),
  limitA: number().min(0.05).max(60).optional(),
  humidity: number().min(0).max(1).optional(),
  warmByS: number().min(0).max(7200).optional(),
  soften: DESIGNATOR.optional(),
  clean: DESIGNATOR.optional(),
  wash: boolean().optional(),
  fitTrimmer: boolean().optional(),
  replace: object({ group: GROUP.required(), designator: DESIGNATOR.optional() })
    .noUnknown(true, UNKNOWN_FIELD)
    .optional()
    .default(undefined),
  remove: GROUP.optional(),
  deliverAgain: boolean().optional(),
  plug: object({ key: string().max(20).required(), pluggedIn: boolean().required() })
    .noUnknown(true, UNKNOWN_FIELD)
    .optional()
    .default(undefined),
}).noUnknown(true, UNKNOWN_FIELD)

export type PracticeChange = InferType<typeof practiceChange>

/** Which set is put on the simulated bench. Exactly one of case and lesson. */
export const benchSession = object({
  designId: string().max(40).optional(),
  faultIds: array(string().max(10).required()).max(4).optional(),
  seed: number().integer().min(0).max(2_147_483_647).optional(),
  lessonId: string().max(30).optional(),
  kitId: string().max(30).required(),
  /** positions of cores are told as they are electrically: to try things out, not to search */
  told: boolean().optional(),
}).noUnknown(true, UNKNOWN_FIELD)
export type BenchSession = InferType<typeof benchSession>

/** What a trainee chooses. */
export const newPractice = object({
  id: uuid(),
  trainee: string().trim().label('form.yourName').max(60).required(),
  kitId: string().max(30).required(),
  choice: mixed<'prepared' | 'surprise' | 'lesson'>().oneOf(['prepared', 'surprise', 'lesson']).required(),
  designId: string().max(40).nullable().default(null),
  lessonId: string().max(30).nullable().default(null),
  difficulty: number().integer().min(1).max(3).default(1),
  seed: number().integer().min(0).max(2_147_483_647).required(),
}).noUnknown(true, UNKNOWN_FIELD)
export type NewPractice = InferType<typeof newPractice>

/** A set to try things out on: its usual complaint, no case, no job, no review. */
export const freePractice = object({
  designId: string().max(40).required(),
  kitId: string().max(30).required(),
  seed: number().integer().min(0).max(2_147_483_647).default(27),
}).noUnknown(true, UNKNOWN_FIELD)
export type FreePractice = InferType<typeof freePractice>

/** Faults that the trainee names at the end. */
export const finishPractice = object({
  named: array(string().max(10).required()).max(10).default([]),
}).noUnknown(true, UNKNOWN_FIELD)

export interface PracticeInstrument {
  readonly key: string
  readonly name: string
  readonly profileId: string
  readonly pluggedIn: boolean
  readonly port: number
}
export interface PracticePoint {
  readonly name: string
  readonly value: number | null
  readonly unit: string
}

/** What the practice panel shows of the simulated set: its controls, and what eye, ear and probe find. */
export interface PracticeState {
  readonly session: {
    readonly designId: string
    readonly model: string
    readonly complaint: string
    readonly owner: string
    readonly kitId: string
    readonly kit: string
    readonly lesson: { readonly id: string; readonly done: number } | null
  }
  readonly adjusters: Readonly<Record<string, number>>
  readonly waxed: readonly string[]
  readonly mode: Mode
  readonly channel: number
  readonly keyed: boolean
  readonly lowPower: boolean
  readonly coverage: Coverage
  readonly powerOn: boolean
  readonly driveOff: boolean
  readonly micGain: number
  readonly clarifier: number
  readonly toneOn: boolean
  readonly twoTones: boolean
  readonly toneHz: number
  readonly toneLevelV: number
  readonly whistle: boolean
  readonly otherMicrophone: boolean
  readonly inputV: number
  readonly supplyV: number
  /** null = none */
  readonly limitA: number | null
  readonly humidity: number
  readonly onTimeS: number
  readonly keyedS: number
  readonly locked: boolean
  readonly lockS: number
  readonly panelPowerW: number | null
  readonly sMeter: number | null
  readonly sensitivityV: number
  readonly audibleV: number
  readonly sinadDb: number | null
  /** where the clarifier would null, 0.5 = 12 o'clock */
  readonly clarifierNull: number
  readonly testPoints: readonly PracticePoint[]
  readonly dcGain: number
  readonly groups: readonly PartGroup[]
  /** what came of the last turn of a core */
  readonly motion: string | null
  readonly damage: readonly { readonly what: string; readonly why: string }[]
  readonly instruments: readonly PracticeInstrument[]
}
