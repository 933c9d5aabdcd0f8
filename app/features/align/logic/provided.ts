import type { InjectionKey, Ref } from 'vue'
import type { useKeyAlarm } from './useKeyAlarm'
import type { RunPosition } from '#shared/jobLive'

/** What a layout or a page above lends to what lies below it. */

/** the warning before the key-down limit, of the whole application */
export const KEY_ALARM: InjectionKey<ReturnType<typeof useKeyAlarm>> = Symbol('key alarm')

/** where another screen is in the run of the same job */
export const POSITION_ELSEWHERE: InjectionKey<Ref<RunPosition | null>> = Symbol('position elsewhere')
