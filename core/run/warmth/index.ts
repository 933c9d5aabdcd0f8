export { driftSamples, type DriftSources } from './driftSamples'
export { fitDrift, slowIn, type DriftFit, type DriftSample } from './driftFit'
export { driftLimit, isFrequencyStep, warmGate, type WarmGate } from './warmGate'
