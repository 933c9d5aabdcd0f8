import { number, object, string } from '#shared/yup'

/** Which copy of which issue; no issue = the newest, or a draft. */
export const handoverQuery = object({
  copy: string<'owner' | 'shop'>()
    .oneOf(['owner', 'shop'] as const)
    .default('owner'),
  issue: number().integer().min(1).max(10_000).optional(),
})
