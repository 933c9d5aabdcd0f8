// Measuring a recording
export { measureRecording } from './measure'
export { DEFAULT_OPTIONS, SILENT, type MeasureOptions, type Progress } from './options'
export type { MeasuredRecording, Measurement, SignalPictures } from './measurement'
export type { AdjacentFigure, AmFigures, AudioFigures, CarrierFigures, FmFigures, Health, MaskFigure, Note, SpectrumFigures, SsbFigures } from './result'
export type { SignalMode } from './classify'
