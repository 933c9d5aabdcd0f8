import { between } from '../part'
import { CORE_STOP_TURNS } from './coreLaw'

/** A core as a piece of ferrite in a thread. */
export interface Slug {
  readonly turns: number
  readonly waxed: boolean
  readonly broken: boolean
}

export const TOOLS = ['plastic hexagon', 'ceramic blade', 'steel screwdriver'] as const
export type Tool = (typeof TOOLS)[number]

/** What happened when it was turned. */
export type SlugMotion = 'turned' | 'stuck' | 'stop' | 'broke' | 'slips'

/** Turning a waxed core further than this by force splits it [turns]. */
const WAX_GIVES_TURNS = 0.25

/**
 * A hand on a core.
 *
 * Wax holds it: a gentle turn does nothing, force splits it. A steel screwdriver splits a waxed core at the
 * first touch and a free one that is forced. A split core still turns in its thread, without effect.
 * @param forced the hand goes on although it does not move
 * Source: common practice (K10 to K12).
 */
export function turnSlug(
  slug: Slug,
  wantedTurns: number,
  tool: Tool,
  forced = false,
): { readonly slug: Slug; readonly motion: SlugMotion } {
  const steel = tool === 'steel screwdriver'
  if (slug.broken)
    return {
      slug: { ...slug, turns: between(-CORE_STOP_TURNS, CORE_STOP_TURNS, wantedTurns) },
      motion: 'slips',
    }
  if (slug.waxed && !forced && !steel)
    return { slug, motion: Math.abs(wantedTurns - slug.turns) > 0 ? 'stuck' : 'turned' }
  if ((slug.waxed && (steel || Math.abs(wantedTurns - slug.turns) > WAX_GIVES_TURNS)) || (steel && forced))
    return { slug: { ...slug, broken: true, waxed: false }, motion: 'broke' }
  if (slug.waxed) return { slug, motion: 'stuck' }
  const turns = between(-CORE_STOP_TURNS, CORE_STOP_TURNS, wantedTurns)
  return { slug: { ...slug, turns }, motion: turns === wantedTurns ? 'turned' : 'stop' }
}

/** A clean iron tip on the wax frees it. */
export const softenWax = (slug: Slug): Slug => ({ ...slug, waxed: false })
