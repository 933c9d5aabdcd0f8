import { hashOf } from '#core/circuit'

/** Cores of a real set stand anywhere when they stand right; at most this far from the middle [turns]. */
const MAX_TURNS = 0.6

/**
 * How much further in a core stands under the hand than its electrical position says.
 * @param seed of the case; null = a set whose positions are told, as in lessons
 */
export function coreOffset(seed: number | null, designator: string): number {
  return seed === null
    ? 0
    : Math.round(
        20 *
          MAX_TURNS *
          hashOf(
            seed,
            700,
            [...designator].reduce((h, c) => h * 31 + c.charCodeAt(0), 7),
          ),
      ) / 20
}
