export { attribute, type Attributed, type AttributionRow, type Unknown } from './attribute'
export { MULTIMODE_OSCILLATORS, THREE_CRYSTALS, multimodeRow, threeCrystalRow, type MultimodeReading, type ThreeCrystalReading } from './schemes'
