export {
  balanceView,
  menuEntry,
  seeksPeak,
  settingTarget,
  type BalanceView,
  type SettingTarget,
} from './guideFor'
export { lastCode, menuGoal, originalCode } from './menuGoal'
