export { BENCH_KITS, benchKit, type BenchKit } from './kits'
export { hiddenShare, shownOf, withError, type NeedleMemory, type ShownValue } from './shown'
export { spectrumTrace, type TraceSettings } from './spectrumTrace'
export type {
  BenchLook,
  SimulatedInstrument,
  SimulatedReading,
  SimulatedSetting,
} from './simulatedInstrument'
