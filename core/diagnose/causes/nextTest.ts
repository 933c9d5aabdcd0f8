import type { Observable } from './observable'
import { likelihood, type RankedCause } from './rank'

/** A question that has not been answered yet, with how much its answer is worth. */
export interface NextTest {
  readonly observable: Observable
  /** expected gain of information [bit] */
  readonly gainBits: number
  /**
   * what each outcome would leave in front: outcome -> id of the leading cause (null = none of the catalogue)
   */
  readonly leads: Readonly<Record<string, string | null>>
}

/** Below this an answer hardly moves anything [bit]. */
const WORTHWHILE_BITS = 0.05

/**
 * The open questions by what their answer is expected to tell about the causes that remain, the best first.
 *
 * @param ranked causes with their probabilities now
 * @param open questions without an answer that can be put with what is at hand
 * @returns those worth asking; empty when nothing would discriminate
 * Source: expected reduction of entropy (mutual information between cause and outcome), Shannon.
 */
export function nextTests(ranked: readonly RankedCause[], open: readonly Observable[]): NextTest[] {
  return open
    .map(observable => weighTest(ranked, observable))
    .filter(t => t.gainBits >= WORTHWHILE_BITS && decides(t))
    .sort((a, b) => b.gainBits - a.gainBits)
}

/** A question whose every answer leaves the same cause in front changes nothing that is done. */
function decides({ leads }: NextTest): boolean {
  return new Set(Object.values(leads)).size > 1
}

function weighTest(ranked: readonly RankedCause[], observable: Observable): NextTest {
  const before = entropyBits(ranked.map(r => r.probability))
  const leads: Record<string, string | null> = {}
  let after = 0
  for (const outcome of Object.keys(observable.outcomes)) {
    const joint = ranked.map(r => r.probability * likelihood(r.cause, observable, outcome))
    const probability = joint.reduce((a, b) => a + b, 0)
    after += probability * entropyBits(joint.map(j => j / probability))
    leads[outcome] = ranked[joint.indexOf(Math.max(...joint))]!.cause?.id ?? null
  }
  return { observable, gainBits: Math.max(0, before - after), leads }
}

function entropyBits(probabilities: readonly number[]): number {
  return probabilities.reduce((sum, p) => (p > 0 ? sum - p * Math.log2(p) : sum), 0)
}
