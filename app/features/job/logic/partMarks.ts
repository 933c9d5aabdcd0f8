import type { PartVerdict } from '#core/work'

/** Marks of what the tests of a part prove. */
export const VERDICT_MARK = {
  'accepted': 'inside',
  'rejected': 'above',
  'doubtful': 'cannot-tell',
  'not-proved': 'none',
} as const satisfies Record<PartVerdict, string>
