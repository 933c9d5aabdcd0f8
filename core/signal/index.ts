// Measuring a recording
export { measureRecording } from './measure'
export { DEFAULT_OPTIONS, SILENT, type MeasureOptions, type MeasuringPhase, type Progress } from './options'
export { LIMITS, type Limit } from './limits'
export type { MeasuredRecording, Measurement, SignalPictures } from './measurement'
export type {
  AdjacentFigure,
  AmFigures,
  AudioFigures,
  CarrierFigures,
  FmFigures,
  Health,
  MaskFigure,
  Note,
  SpectrumFigures,
  SsbFigures,
} from './result'
// What it means
export { findingsOf, type Finding } from './annotate'
export { judgeSignal, type JudgedReading, type JudgedSignal, type SignalFinding } from './judge/judgeSignal'
export { adjacentShare, signalReadings, worstAdjacent, type SignalReading } from './judge/readings'
// Two tones against each other
export { beatOf, type Beat } from './audio/beat'
export { audioFigures } from './audio/audioFigures'
export type { SignalMode } from './classify'
