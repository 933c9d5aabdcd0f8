export type { RigChange, RigState, RigTruth } from './rigState'
export { changeOsmund27f, measureOsmund27f, osmund27fAsFound } from './osmund27f/rig'
