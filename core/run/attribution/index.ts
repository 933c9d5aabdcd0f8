export { ageingOffset, type AgeingOffset } from './ageing'
export { attribute, type Attributed, type AttributionRow, type Unknown } from './attribute'
export { schemeNominalHz, schemeReadings, schemeRow, schemeUnknowns, type SchemeReading } from './schemeRows'
