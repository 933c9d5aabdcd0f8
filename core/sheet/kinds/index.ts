import { AM_MOBILE } from './amMobile'
import { AMPLIFIER } from './amplifier'
import { CW_KIT } from './cwKit'
import { FM_MOBILE } from './fmMobile'
import { HIGH_POWER } from './highPower'
import { HYBRID_VALVE } from './hybridValve'
import { MENU_MOBILE } from './menuMobile'
import { MENU_QRP } from './menuQrp'
import { MULTIMODE } from './multimode'
import type { KindInfo, KindPart } from './kindInfo'

/** Kinds of set, in the order of lists. */
export const SET_KIND_INFO = {
  'fm-mobile': FM_MOBILE,
  'am-mobile': AM_MOBILE,
  'multimode': MULTIMODE,
  'menu-mobile': MENU_MOBILE,
  'high-power': HIGH_POWER,
  'hybrid-valve': HYBRID_VALVE,
  'cw-kit': CW_KIT,
  'menu-qrp': MENU_QRP,
  'amplifier': AMPLIFIER,
} as const satisfies Readonly<Record<string, KindInfo>>

export type SetKind = keyof typeof SET_KIND_INFO
export const SET_KINDS = Object.keys(SET_KIND_INFO) as [SetKind, ...SetKind[]]

export const kindInfo = (kind: SetKind): KindInfo => SET_KIND_INFO[kind]

/** Whether a set of this kind has a part. */
export const kindHas = (kind: SetKind, part: KindPart): boolean => SET_KIND_INFO[kind].parts.includes(part)

export type { KindInfo, KindPart } from './kindInfo'
