export type { InstrumentProfile, ProfileQuantity } from './instrumentProfile'
export { INSTRUMENT_PROFILES, instrumentProfile, profileQuantity, profilesAsGoodAs } from './profiles'
export { scpiNumber, type ScpiNumber } from './scpiAnswer'
