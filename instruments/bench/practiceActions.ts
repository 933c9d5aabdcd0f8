import type { RigAction, RigState } from '#core/rig'
import type { PracticeChange } from '#shared/practice'
import { coreOffset } from './coreOffset'

const TWO_TONES_HZ = [700, 1900] as const
/** The generator before anybody touched it. */
export const DEFAULT_TONE = { hz: 1000, v: 0.04 }

/** What a change from the panel means for the simulated set. Fields that were not sent stay as they are. */
export function actionsOf(change: PracticeChange, state: RigState, offsetSeed: number | null): RigAction[] {
  const { mode, channel, keyed, lowPower, coverage, powerOn, driveOff, micGain, clarifier } = change
  const { supplyV, limitA, humidity } = change
  const controls = defined({
    mode,
    channel,
    keyed,
    lowPower,
    coverage,
    powerOn,
    driveOff,
    micGain,
    clarifier,
  })
  const surroundings = defined({ supplyV, limitA, humidity })
  const stimulus = stimulusOf(change, state)
  return [
    ...turnsOf(change, state, offsetSeed),
    ...(Object.keys(surroundings).length > 0 ? [{ kind: 'surroundings' as const, surroundings }] : []),
    ...(stimulus ? [{ kind: 'stimulus' as const, stimulus }] : []),
    ...(Object.keys(controls).length > 0 ? [{ kind: 'control' as const, controls }] : []),
    ...workOf(change),
  ]
}

function turnsOf(
  { adjusters = [] }: PracticeChange,
  { slugs }: RigState,
  offsetSeed: number | null,
): RigAction[] {
  return adjusters.map(({ designator, position, tool, forced }) => ({
    kind: 'turn',
    designator,
    position: position - (designator in slugs ? coreOffset(offsetSeed, designator) : 0),
    ...(tool ? { tool } : {}),
    ...(forced ? { forced: true } : {}),
  }))
}

/** What is done to parts. */
function workOf({ soften, clean, wash, fitTrimmer, replace, remove }: PracticeChange): RigAction[] {
  return [
    ...(soften ? [{ kind: 'soften' as const, designator: soften }] : []),
    ...(clean ? [{ kind: 'clean' as const, designator: clean }] : []),
    ...(wash ? [{ kind: 'wash' as const }] : []),
    ...(fitTrimmer ? [{ kind: 'fit-trimmer' as const }] : []),
    ...(replace ? [replacement(replace)] : []),
    ...(remove ? [{ kind: 'remove' as const, group: remove }] : []),
  ]
}
function replacement({ group, designator }: NonNullable<PracticeChange['replace']>): RigAction {
  return { kind: 'replace', group, ...(designator ? { designator } : {}) }
}

/** Tone generator, microphone and RF generator; null = untouched. */
function stimulusOf(change: PracticeChange, { stimulus }: RigState): Partial<RigState['stimulus']> | null {
  const { toneOn, twoTones, toneHz, toneLevelV, whistle, otherMicrophone, inputV } = change
  const touched = [toneOn, twoTones, toneHz, toneLevelV].some(x => x !== undefined)
  const now = {
    on: stimulus.tones.length > 0,
    two: stimulus.tones.length > 1,
    hz: stimulus.tones[0]?.hz ?? DEFAULT_TONE.hz,
    v: stimulus.tones.reduce((s, t) => s + t.v, 0) || DEFAULT_TONE.v,
  }
  const on = toneOn ?? (twoTones ? true : now.on)
  const two = twoTones ?? (toneOn === undefined ? now.two : false)
  const v = toneLevelV ?? now.v
  const hz = toneHz ?? (now.two ? DEFAULT_TONE.hz : now.hz)
  const wanted = two ? TWO_TONES_HZ.map(f => ({ hz: f, v: v / 2 })) : [{ hz, v }]
  const tones = on ? wanted : []
  const rest = defined({ whistle, otherMicrophone, inputV })
  return touched || Object.keys(rest).length > 0 ? { ...rest, ...(touched ? { tones } : {}) } : null
}

/** Fields that were not sent must not overwrite what stands. */
function defined<T extends object>(fields: T): { [K in keyof T]?: NonNullable<T[K]> } {
  return Object.fromEntries(Object.entries(fields).filter(([, v]) => v !== undefined)) as {
    [K in keyof T]?: NonNullable<T[K]>
  }
}
