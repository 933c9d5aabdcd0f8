import { benchKit } from '#core/practice/instruments'
import { NO_LIMIT_A, positionKey, rigDesign, type PartGroup, type RigState, type RigTruth } from '#core/rig'
import type { PracticeState } from '#shared/practice'
import { coreOffset } from './coreOffset'
import { DEFAULT_TONE } from './practiceActions'

/** Groups of parts that a workshop replaces as one. */
const REPLACEABLE: readonly PartGroup[] = [
  'final',
  'driver',
  'regulator',
  'bipolarBias',
  'gateBias',
  'audio',
  'microphone',
  'reference',
  'txCrystal',
  'rxCrystal',
  'program',
  'frontEnd',
  'supplyInput',
  'panel',
  'fm',
  'valves',
  'highVoltage',
]

/** Session of the bench as the panel needs it. */
export interface SessionView {
  readonly complaint: string
  readonly owner: string
  readonly kitId: string
  readonly lesson: { readonly id: string; readonly done: number } | null
  readonly motion: string | null
  readonly offsetSeed: number | null
}

/** What the panel shows: positions as the hand sees them, controls, and what eye, ear and probe find. */
export function practiceView(
  state: RigState,
  truth: RigTruth,
  session: SessionView,
  instruments: PracticeState['instruments'],
): PracticeState {
  const design = rigDesign(state.designId)
  const { controls, surroundings, memory } = state
  const { values } = truth
  return {
    session: {
      designId: design.id,
      model: design.name,
      complaint: session.complaint,
      owner: session.owner,
      kitId: session.kitId,
      kit: benchKit(session.kitId).name,
      lesson: session.lesson,
    },
    adjusters: positionsSeen(state, session.offsetSeed),
    waxed: Object.entries(state.slugs)
      .filter(([, s]) => s.waxed)
      .map(([d]) => d),
    ...controls,
    ...stimulusSeen(state),
    supplyV: surroundings.supplyV,
    limitA: surroundings.limitA < NO_LIMIT_A ? surroundings.limitA : null,
    humidity: surroundings.humidity,
    onTimeS: memory.onS,
    keyedS: memory.keyedS,
    locked: truth.locked,
    lockS: values.lockS ?? 0,
    panelPowerW: values.panelPowerW ?? null,
    sMeter: values.sMeter ?? null,
    sensitivityV: values.sensitivityV!,
    audibleV: values.audibleV!,
    sinadDb: values.sinadDb ?? null,
    clarifierNull: truth.clarifierNull,
    testPoints: Object.entries(truth.testPoints).map(([name, p]) => ({ name, ...p })),
    dcGain: truth.dcGain,
    groups: REPLACEABLE.filter(g => design.parts[g] !== null),
    motion: session.motion,
    damage: state.damage.map(d => ({ what: String(d.what), why: d.why })),
    instruments,
  }
}

/** Positions as the hand sees them: a core tells nothing of where it ought to stand. */
function positionsSeen(state: RigState, offsetSeed: number | null): Record<string, number> {
  const design = rigDesign(state.designId)
  return Object.fromEntries(
    Object.entries(design.adjusters).map(([d, a]) => [
      d,
      a.kind === 'core'
        ? state.slugs[d]!.turns + coreOffset(offsetSeed, d)
        : state.positions[positionKey(design, d, state.controls.coverage)]!,
    ]),
  )
}

function stimulusSeen({ stimulus: { tones, whistle, otherMicrophone, inputV } }: RigState) {
  return {
    toneOn: tones.length > 0,
    twoTones: tones.length > 1,
    toneHz: tones[0]?.hz ?? DEFAULT_TONE.hz,
    toneLevelV: tones.reduce((sum, tone) => sum + tone.v, 0) || DEFAULT_TONE.v,
    whistle,
    otherMicrophone,
    inputV,
  }
}
