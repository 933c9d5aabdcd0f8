// A simulated set: data, state, what it does
export type { RigDesign, AdjusterKind, AdjusterSpec } from './rigDesign'
export type { PartGroup, RigParts } from './rigParts'
export type { Controls, RigAction, RigState, Stimulus, Surroundings } from './rigState'
export type { RigTruth } from './rigTruth'
export { RIG_DESIGNS, rigDesign } from './designs'
export { NO_LIMIT_A, healthyRig } from './assembly/start'
export { truthOf } from './assembly/truth'
export { advance } from './assembly/advance'
export { act, type ActionResult } from './assembly/act'
export { positionKey } from './assembly/positions'
// As a recording
export { renderIq, type IqSettings, type RenderedIq } from './signal/renderIq'
export { renderAudio } from './signal/renderAudio'
export type { Emission } from './signal/emission'
// What can be wrong with it
export { RIG_FAULTS, rigFault, type RigFault } from './faults'
// Cases
export {
  PREPARED,
  deliver,
  preparedScenario,
  scenarioOf,
  surpriseScenario,
  type Scenario,
} from './scenarios/scenarios'
