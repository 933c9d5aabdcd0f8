// The one shape of a part
export { between, decay, memoryless, type CircuitPart } from './part'
// Oscillators
export { effectiveLoadF, loadForPull, pullRatio, type CrystalCut } from './oscillator/crystal'
export {
  crystalOscillator,
  trimmerFor,
  type CrystalOscillator,
  type OscillatorMemory,
} from './oscillator/crystalOscillator'
export { clockGenerator, type ClockGenerator } from './oscillator/clockGenerator'
// Synthesisers and mixing schemes
export { coilFor, vcoControlV, vcoHz, vcoSlopeHzPerV, type Vco } from './synthesiser/vco'
export { lockedLoop, type LockedLoop, type LoopMemory, type LoopState } from './synthesiser/lockedLoop'
export { secondIfHz, transmitHz, type ThreeCrystals } from './synthesiser/threeCrystal'
export { singleReference } from './synthesiser/singleReference'
export { CARRIER_OSCILLATOR_HZ, mixingPlan, multimodeHz, type ModeOscillators } from './synthesiser/multimode'
// Tuned circuits
export { CORE_STOP_TURNS, inductanceRatio } from './tuned/coreLaw'
export { softenWax, TOOLS, turnSlug, type Slug, type SlugMotion, type Tool } from './tuned/slug'
export { tunedHz, tunedResponse, tunedStage, turnsFor, type TunedStage } from './tuned/tunedStage'
export { coupledPair, type CoupledPair } from './tuned/coupledPair'
// Power
export { softLimit } from './amplifier/softLimit'
export {
  amplitudeOf,
  atSupply,
  outputStage,
  type AmplitudeLaw,
  type OutputStage,
} from './amplifier/outputStage'
export { bipolarBias, gateBias, type BipolarBias, type GateBias } from './amplifier/bias'
export { heatPath, type HeatMemory, type HeatPath, type Temperatures } from './amplifier/heatPath'
export { lowPass, type LowPass } from './amplifier/lowPass'
// Modulation
export { seriesModulator, type ModulatorRail, type SeriesModulator } from './modulator/seriesModulator'
export { audioChain, type AudioChain } from './modulator/audioChain'
export { balancedModulator, type BalancedModulator } from './modulator/balancedModulator'
export { levelControl, type LevelControl } from './modulator/levelControl'
export { presetTrack, type PresetTrack } from './modulator/presetTrack'
// Supply, valves, meters, receiver
export { benchSupply, type BenchSupply, type SupplyOutput } from './supply/benchSupply'
export { piNetwork, piParts, type PiNetwork } from './valve/piNetwork'
export { valvePair, type ValvePair } from './valve/valvePair'
export { highVoltage, type HighVoltage } from './valve/highVoltage'
export { neutralising, type Neutralising } from './valve/neutralising'
export { meterMovement, type MeterMovement } from './meter/movement'
export { audioSnr, levelForSinad, sinadDb, type Detection, type FrontEnd } from './receiver/frontEnd'
export { ifFilter, type IfFilter } from './receiver/ifFilter'
export { sMeter, type SMeter } from './receiver/sMeter'
export { deterministicNoise, hashOf, slowWander } from './noise'
