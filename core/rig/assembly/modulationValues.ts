import { deterministicNoise } from '../../circuit'
import { powerDb, type Quantity } from '../../quantity'
import { cycleOf, spectralFigures } from '../signal/figures'
import type { RigSolution } from './rigSolution'

/**
 * A discriminator and a modulator are never quite even: positive deviation exceeds negative by this much
 * [ratio].
 */
const ASYMMETRY = 0.015

/** Without an emission nothing of it can be read. */
const NOTHING = {
  carrierHz: null,
  depthPositiveRatio: null,
  depthNegativeRatio: null,
  deviationPositiveHz: null,
  deviationNegativeHz: null,
  adjacentDbc: null,
  imd3Db: null,
  carrierLeakDb: null,
}

/** What modulation meters and analysers would show of the emission. */
export function modulationValues(
  { tx, state, f }: RigSolution,
  spectral: boolean,
): Partial<Record<Quantity, number | null>> {
  const { emission, envelope } = tx
  const noise = (stream: number) => deterministicNoise(state.seed, stream, state.memory.timeS)
  if (emission.kind === 'none') return NOTHING
  const lines =
    spectral || emission.kind === 'ssb'
      ? spectralFigures(emission, cycleOf(emission), emission.offsetHz)
      : null
  const shared = {
    ...NOTHING,
    carrierHz: f.carrierHz + 0.3 * noise(2),
    adjacentDbc: spectral && lines ? lines.adjacentDbc : null,
  }
  if (emission.kind === 'fm') {
    const deviationHz = emission.tones.reduce((sum, t) => sum + t.level, 0)
    return {
      ...shared,
      deviationPositiveHz: deviationHz * (1 + ASYMMETRY) + 2 * noise(4),
      deviationNegativeHz: deviationHz * (1 - ASYMMETRY) + 2 * noise(5),
    }
  }
  if (emission.kind === 'am') {
    if (emission.tones.length === 0) return shared
    return {
      ...shared,
      depthPositiveRatio: envelope.highV / emission.carrierV - 1,
      depthNegativeRatio: 1 - envelope.lowV / emission.carrierV,
    }
  }
  const quiet = emission.tones.every(t => t.level === 0)
  const alone = envelope.pepW > 0 ? powerDb(tx.fullPepW / envelope.pepW) : null
  const leakDb = quiet ? alone : lines!.carrierBelowPepDb
  return {
    ...shared,
    carrierHz: quiet ? null : f.carrierHz + lines!.strongestHz + 0.3 * noise(2),
    imd3Db: lines!.imd3Db,
    carrierLeakDb: leakDb,
  }
}
