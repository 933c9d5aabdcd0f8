import type { MessageCode } from '#shared/i18n'

/** A defect as it looks, in lines: what is whole, and what is wrong with it. Own drawings, 96 by 60. */
export interface BadLook {
  readonly label: MessageCode
  readonly whole: string
  /** what is not there any more */
  readonly gone?: string
  readonly defect: string
}

const MELTED_LEAD: BadLook = {
  label: 'look.meltedLead',
  whole: 'M4 22H38M4 38H38M60 22H92M60 38H92M4 30H92',
  defect: 'M38 22c4-8 7 6 11-1s7 3 11 1M38 38c4 9 7-5 11 3s7-5 11-3M44 50q2-5 4 0t-4 0z',
}
const BURNT_TRACK: BadLook = {
  label: 'look.burntTrack',
  whole: 'M4 4H92V56H4zM12 44H32l8-8M84 16H66l-8 8',
  defect: 'M38 30q4-12 14-8t10 10q-4 12-14 8t-10-10zM44 28l10 8M44 36l10-8',
}
const DRY_JOINT: BadLook = {
  label: 'look.dryJoint',
  whole: 'M8 46H88M20 46q20-4 22-22M54 24q2 18 22 22M42 26V8h12v18M42 46v10h12V46',
  defect: 'M34 32q14 8 28 0M32 37q16 8 32 0',
}
const GLUE: BadLook = {
  label: 'look.glue',
  whole: 'M6 50H90M14 50V18H34V50M62 50V28H82V50',
  defect: 'M28 50q-2-18 10-13t13-4 12 6 7 11zM38 45l6-4 4 5 7-4 4 4',
}
const BULGED: BadLook = {
  label: 'look.bulged',
  whole: 'M30 52V22M66 52V22M30 52H66M42 52v6M54 52v6',
  defect: 'M30 22q18-20 36 0M40 17l16-2M48 11v9M66 48q10 0 10 8',
}
const CLIPPED: BadLook = {
  label: 'look.clipped',
  whole: 'M8 48H88M36 48V38M48 48V40M60 48V38',
  gone: 'M32 28a16 18 0 0 1 32 0zM36 28v8M48 28v10M60 28v8',
  defect: 'M32 38l8-2M44 40l8-2M56 38l8-2',
}
const SPLIT_CORE: BadLook = {
  label: 'look.splitCore',
  whole: 'M22 6H74V54H22zM34 30a14 14 0 1 0 28 0a14 14 0 1 0-28 0',
  defect: 'M40 19l6 7-3 5 8 4-3 9M51 35l8-2',
}

/** Items of the inspection whose defects are seen rather than read of. */
export const BAD_LOOKS: Readonly<Record<string, readonly BadLook[]>> = {
  I06: [MELTED_LEAD],
  I30: [BURNT_TRACK, DRY_JOINT],
  I31: [GLUE],
  I32: [BULGED],
  I33: [CLIPPED],
  I37: [SPLIT_CORE],
}
