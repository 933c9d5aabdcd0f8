import { laterComponent } from '~/ui/laterComponent'

/** Only some sets need these; defined once, however often a step is shown. */
export const BalanceCoach = laterComponent(() => import('./BalanceCoach.vue'))
export const BeatCoach = laterComponent(() => import('./BeatCoach.vue'))
export const BiasCoach = laterComponent(() => import('./BiasCoach.vue'))
export const HandsCoach = laterComponent(() => import('./HandsCoach.vue'))
export const MenuCoach = laterComponent(() => import('./MenuCoach.vue'))
export const WarmCoach = laterComponent(() => import('./WarmCoach.vue'))
