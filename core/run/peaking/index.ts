export { NEW_GUIDE, guided, type PeakGuide, type PeakLook, type PeakWord } from './peakGuide'
