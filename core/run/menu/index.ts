export { proposeCode, type MenuGoal, type MenuProposal, type MenuReading } from './menuCurve'
export { menuReadings, menuState, type MenuState } from './menuState'
