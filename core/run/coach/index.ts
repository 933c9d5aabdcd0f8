export {
  balanceView,
  menuEntry,
  seeksPeak,
  settingTarget,
  type BalanceView,
  type SettingTarget,
} from './guideFor'
export { lawGuide } from './lawGuide'
export { lastCode, menuGoal, originalCode, untouchedCode } from './menuGoal'
