export { ageingOffset, type AgeingOffset } from './ageing'
export { attribute, type Attributed, type AttributionRow, type Unknown } from './attribute'
export { leftSo, type LeftSo, type Shift } from './leftSo'
export { schemeNominalHz, schemeReadings, schemeRow, schemeUnknowns, type SchemeReading } from './schemeRows'
