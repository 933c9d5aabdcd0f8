import { message } from '../../message'
import { hashOf } from '../../circuit'
import { CoreError } from '../../errors'
import { healthyRig } from '../assembly/start'
import { RIG_DESIGNS, rigDesign } from '../designs'
import { RIG_FAULTS, rigFault, type RigFault } from '../faults'
import { left } from '../faults/fault'
import type { RigState } from '../rigState'
import { COMPLAINTS } from './complaints'

/**
 * A set with something wrong, and what its owner says. The faults are for the review; nothing tells them
 * before.
 */
export interface Scenario {
  readonly id: string
  readonly designId: string
  readonly complaint: string
  readonly owner: string
  readonly difficulty: number
  readonly seed: number
  readonly faultIds: readonly string[]
}

const OWNERS = [
  'Barge Teal (Runa Vestergaard)',
  'Slate quarry, lorry 9 (Edrich Maunder)',
  'Mountain goods railway, yard (Solveig Tarn)',
  'Heritage-radio society (Aurel Pennick)',
  'Barge Dipper (Tamsin Orrell)',
  'Lock 14, keeper (Bertil Skarsholm)',
] as const
/**
 * How far presets of a set that has seen some years stand from where they belong [ratio of travel], by
 * difficulty.
 */
const WEAR = [0, 0.01, 0.02, 0.03] as const

/** One prepared case for every model, from plain to hard to see. */
export const PREPARED: readonly { readonly designId: string; readonly faultIds: readonly string[] }[] = [
  { designId: 'osmund-27f', faultIds: ['XN1'] },
  { designId: 'osmund-40a', faultIds: ['X08'] },
  { designId: 'larkfield-lx8', faultIds: ['X26'] },
  { designId: 'larkfield-lx8m', faultIds: ['X31'] },
  { designId: 'corvid-m6', faultIds: ['XM1'] },
  { designId: 'brantwick-tallis60', faultIds: ['XT1'] },
  { designId: 'quillon-hb150', faultIds: ['X17'] },
  { designId: 'quillon-p5', faultIds: ['XP1'] },
  { designId: 'quillon-p7', faultIds: ['XP1'] },
]

/** @throws {CoreError} unknown-cause */
export function scenarioOf(designId: string, faultIds: readonly string[], seed: number): Scenario {
  const faults = faultIds.map(rigFault)
  if (faults.some(f => !f.designIds.includes(designId)))
    throw new CoreError(
      'unknown-cause',
      message('error.noFaultOfSet', { list: faultIds.join(', '), name: rigDesign(designId).name }),
    )
  const difficulty = Math.min(3, Math.max(1, ...faults.map(f => f.difficulty)) + (faults.length > 1 ? 1 : 0))
  return {
    id: `${designId}:${faultIds.join('+')}:${seed}`,
    designId,
    faultIds,
    seed,
    difficulty,
    owner: pick(OWNERS, seed, 1),
    complaint: faults.map(f => COMPLAINTS[f.id]).join(' '),
  }
}

/** A prepared case. @throws {CoreError} unknown-sheet */
export function preparedScenario(designId: string, seed = 27): Scenario {
  const found = PREPARED.find(p => p.designId === designId)
  if (!found) throw new CoreError('unknown-sheet', message('error.noExercise', { designId }))
  return scenarioOf(designId, found.faultIds, seed)
}

/**
 * A case drawn from a seed: the same seed, the same case.
 * @param difficulty 1 one plain fault, 2 one that takes a second look, 3 one that hides, or two at once
 * @param designId null = any set
 */
export function surpriseScenario(seed: number, difficulty: 1 | 2 | 3, designId: string | null): Scenario {
  const suited = (d: string, f: RigFault) => f.designIds.includes(d) && f.difficulty <= difficulty
  const design = designId ?? pick(RIG_DESIGNS, seed, 2).id
  const hard = RIG_FAULTS.filter(f => suited(design, f) && f.difficulty === difficulty)
  const first = pick(hard.length > 0 ? hard : RIG_FAULTS.filter(f => suited(design, f)), seed, 3)
  const others = RIG_FAULTS.filter(f => suited(design, f) && f.difficulty === 1 && f.id !== first.id)
  const second =
    difficulty === 3 && others.length > 0 && hashOf(seed, 4, 0) > 0 ? [pick(others, seed, 5).id] : []
  return scenarioOf(design, [first.id, ...second], seed)
}

/** The set as it is put on the bench, cold. Its presets have wandered a little, the more the harder. */
export function deliver({
  designId,
  faultIds,
  seed,
  difficulty,
}: Pick<Scenario, 'designId' | 'faultIds' | 'seed' | 'difficulty'>): RigState {
  const neglected = faultIds.some(f => f.startsWith('XN'))
  const worn = Object.entries(rigDesign(designId).adjusters)
    .filter(([, a]) => a.kind === 'preset')
    .reduce(
      (state, [d, a], i) =>
        neglected
          ? state
          : left(state, d, Math.min(1, Math.max(0, a.start + WEAR[difficulty]! * hashOf(seed, 300 + i, 0)))),
      healthyRig(designId, seed),
    )
  return faultIds.reduce((state, id) => rigFault(id).apply(state), worn)
}

function pick<T>(from: readonly T[], seed: number, stream: number): T {
  return from[Math.min(from.length - 1, Math.floor(((hashOf(seed, 500 + stream, 1) + 1) / 2) * from.length))]!
}
