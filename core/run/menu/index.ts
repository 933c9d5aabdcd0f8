export { proposeCode, type MenuGoal, type MenuProposal, type MenuReading } from './menuCurve'
export { codeFollower, type CodeRead } from './codeTurns'
export { menuReadings, menuState, type MenuState } from './menuState'
