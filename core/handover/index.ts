// What the papers may say, from the record alone
export { compliance, compliances, type Compliance, type Distance, type LimitStanding } from './compliance'
export { carrierAdvice, type CarrierAdvice } from './carrierAdvice'
export { adjusted, type AdjustedSummary } from './workSummary'
export { currentReadings, wasMeasured, type CurrentReading } from './evidence'
