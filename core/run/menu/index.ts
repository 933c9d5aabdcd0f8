export { pchip } from './pchip'
export { proposeCode, type MenuGoal, type MenuProposal, type MenuReading } from './menuCurve'
