export { balanceMove, passSpread, type BalanceMove } from './balanceGuide'
export { fitLineUp, readBand, type BandPass, type CoilTurns, type LineUp } from './lineUp'
