export { proposeCode, type MenuGoal, type MenuProposal, type MenuReading } from './menuCurve'
export { codeFollower, type CodeRead } from './codeTurns'
export { lawAdvice, type LawAdvice } from './lawAdvice'
export { menuReadings, menuState, type MenuState } from './menuState'
