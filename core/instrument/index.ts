export {
  SETTING_NAMES,
  type InstrumentProfile,
  type ProfileQuantity,
  type ProfileSetting,
  type SettingName,
} from './instrumentProfile'
export { INSTRUMENT_PROFILES, instrumentProfile, profileQuantity, profilesAsGoodAs } from './profiles'
export { scpiNumber, type ScpiNumber } from './scpiAnswer'
// How it stands on this bench, and against others
export { BARE_SETUP, asSetUp, calibrationAge, isClassKnown, type InstrumentSetup } from './setup'
export {
  METER_KINDS,
  TWO_TONE_AVERAGE,
  TWO_TONE_MEAN,
  toTrueMean,
  type MeterKind,
  type Signal,
} from './meterKind'
export {
  compareMeters,
  twoLevels,
  type ComparedMeter,
  type MeterComparison,
  type MeterReading,
  type TwoLevelVerdict,
} from './compareMeters'
// Told step by step
export {
  STEPPED_PRESETS,
  stepValues,
  steppedPoint,
  steppedSummary,
  type SteppedPlan,
  type SteppedPoint,
  type SteppedPreset,
  type SteppedSummary,
} from './stepped'
