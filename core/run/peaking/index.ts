export { NEW_GUIDE, guided, resumedGuide, type PeakGuide, type PeakLook, type PeakWord } from './peakGuide'
export { PEAKED, generatorAdvice, peakKey, peakLevel, peakQuantities, type PeakedQuantity } from './peakLevel'
