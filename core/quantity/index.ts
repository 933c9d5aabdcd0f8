// What a number is
export { QUANTITIES, QUANTITY_NAMES, quantityInfo, type Quantity } from './quantities'
export { NEEDS, type Need, type QuantityInfo, type RailSlot } from './quantityInfo'
export type { Topic } from './topic'
export {
  BOUNDS,
  SPREADS,
  figureOf,
  type Bound,
  type Spread,
  type Measured,
  type Reading,
  type ReadingSource,
} from './reading'
// The only conversions
export {
  dbToPowerRatio,
  dbToVoltageRatio,
  powerDb,
  voltageDb,
  dbmToWatts,
  powerRatioToDb,
  spreadDb,
  voltageRatioToDb,
  wattsToDbm,
} from './power'
export { matchByPower, matchBySwr, type Match } from './match'
export { depthByPep } from './depthByPep'
export { hzToPpm, ppmToHz } from './frequency'
export { SYSTEM_OHM, dbmToVolts, voltsToDbm } from './receiverLevel'
// How sure it is
export {
  boundToStandard,
  combineStandard,
  errorBound,
  expandedUncertainty,
  relativeBound,
  standardToBound,
  type Accuracy,
} from './uncertainty'
// In and out of words
export { decimalSign, readDecimalSignFrom, withDecimalSign, type DecimalSign } from './decimalSign'
export { numberForField, typedNumber, typedNumberOrNull } from './plainNumber'
export { checkRange, parseTyped, type Typed } from './parseTyped'
export { HEX_BYTE, parseMenuValue, showMenuValue, type MenuFormat } from './menuValue'
export { withinRange, type RangeCheck } from './withinRange'
export {
  BOUND_SIGNS,
  groupDigits,
  justifiedDecimals,
  showErrorHz,
  showMeasured,
  shownDecimals,
  showPlain,
  showSmallPower,
  type FormattedValue,
} from './format'
