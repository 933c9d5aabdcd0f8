import { message } from '../../message'
import { between, softenWax, turnSlug, type SlugMotion } from '../../circuit'
import { CoreError } from '../../errors'
import { channelHz, channelPlan } from '../../rules'
import { rigDesign } from '../designs'
import type { RigDesign } from '../rigDesign'
import type { PartGroup, RigParts } from '../rigParts'
import type { RigAction, RigState } from '../rigState'
import { positionKey } from './positions'
import { work } from './truth'

/** What came of it, for the hand that did it. */
export interface ActionResult {
  readonly state: RigState
  readonly motion: SlugMotion | null
}

const MAX_V = 300
/** A trimmer in the place of a fixed capacitor: the fixed value +/-30 % (K22). */
const FITTED_SPAN = 0.3

/**
 * The set after a person did something. Pure: the old state stays as it was.
 * @throws {CoreError} unknown-adjuster, unknown-channel, out-of-range (a position or voltage that is no
 * number or cannot be), unknown-item (a part this set does not have)
 */
export function act(state: RigState, action: RigAction): ActionResult {
  const design = rigDesign(state.designId)
  switch (action.kind) {
    case 'turn':
      return turn(design, state, action)
    case 'control':
      return done(control(design, state, action.controls))
    case 'stimulus':
      return done({ ...state, stimulus: { ...state.stimulus, ...action.stimulus } })
    case 'surroundings': {
      const { supplyV } = action.surroundings
      if (supplyV !== undefined && !(supplyV >= 0 && supplyV <= MAX_V))
        throw new CoreError('out-of-range', `${supplyV} V`)
      return done({ ...state, surroundings: { ...state.surroundings, ...action.surroundings } })
    }
    case 'soften':
      return done(withSlug(state, action.designator, slug => softenWax(slug)))
    case 'clean':
      return done({
        ...state,
        parts: { ...state.parts, tracks: { ...state.parts.tracks, [action.designator]: { dirty: false } } },
      })
    case 'wash':
      return done(
        state.parts.loop
          ? { ...state, parts: { ...state.parts, loop: { ...state.parts.loop, glueF: 0, glueWanderHz: 0 } } }
          : state,
      )
    case 'replace':
      return done(replace(design, state, action.group, action.designator))
    case 'remove':
      return done(remove(state, action.group))
    case 'fit-trimmer':
      return done(fitTrimmer(state))
  }
}

const done = (state: RigState): ActionResult => ({ state, motion: null })

function turn(
  design: RigDesign,
  state: RigState,
  { designator, position, tool = 'plastic hexagon', forced = false }: Extract<RigAction, { kind: 'turn' }>,
): ActionResult {
  const spec = design.adjusters[designator]
  if (!spec)
    throw new CoreError(
      'unknown-adjuster',
      message('error.noAdjusterInSet', { designator, name: design.name }),
    )
  if (!Number.isFinite(position)) throw new CoreError('out-of-range', `${designator} = ${position}`)
  if (spec.kind === 'core') {
    const { slug, motion } = turnSlug(state.slugs[designator]!, position, tool, forced)
    const damage =
      motion === 'broke'
        ? [
            ...state.damage,
            {
              timeS: state.memory.timeS,
              what: designator,
              why:
                tool === 'steel screwdriver'
                  ? 'core split by a steel screwdriver'
                  : 'core forced against its wax',
            },
          ]
        : state.damage
    return { state: { ...state, slugs: { ...state.slugs, [designator]: slug }, damage }, motion }
  }
  const held = between(0, spec.max ?? 1, spec.kind === 'menu-value' ? Math.round(position) : position)
  return {
    state: {
      ...state,
      positions: { ...state.positions, [positionKey(design, designator, state.controls.coverage)]: held },
    },
    motion: held === position ? 'turned' : 'stop',
  }
}

/** A change of channel, mode or state sends the loop on its way from where it stood. */
function control(design: RigDesign, state: RigState, change: Partial<RigState['controls']>): RigState {
  const controls = { ...state.controls, ...change }
  channelHz(channelPlan(design.planId), controls.channel)
  if (!design.modes.includes(controls.mode))
    throw new CoreError('out-of-range', message('error.noMode', { name: design.name, mode: controls.mode }))
  const moved =
    controls.channel !== state.controls.channel ||
    controls.mode !== state.controls.mode ||
    (controls.powerOn && !state.controls.powerOn)
  const loop = moved
    ? { fromV: work(state).controlV ?? state.memory.loop.fromV, sinceS: 0 }
    : state.memory.loop
  const off = state.controls.powerOn && !controls.powerOn
  return {
    ...state,
    controls: off ? { ...controls, keyed: false } : controls,
    memory: { ...state.memory, loop, onS: off ? 0 : state.memory.onS },
  }
}

function withSlug(
  state: RigState,
  designator: string,
  change: (slug: RigState['slugs'][string]) => RigState['slugs'][string],
): RigState {
  const slug = state.slugs[designator]
  if (!slug) throw new CoreError('unknown-adjuster', message('error.noCore', { designator }))
  return { ...state, slugs: { ...state.slugs, [designator]: change(slug) } }
}

/** Healthy values for a group; a coil gets a whole core, where the old one stood. */
function replace(design: RigDesign, state: RigState, group: PartGroup, designator?: string): RigState {
  if (design.parts[group] === null)
    throw new CoreError('unknown-item', message('error.noSuchPart', { name: design.name }))
  if (group === 'stages' && designator) {
    const stage = { ...state.parts.stages, [designator]: design.parts.stages[designator]! }
    return withSlug({ ...state, parts: { ...state.parts, stages: stage } }, designator, slug => ({
      ...slug,
      broken: false,
      waxed: false,
    }))
  }
  const parts: RigParts = { ...state.parts, [group]: design.parts[group] }
  return group === 'final' ? { ...state, parts: { ...parts, heat: design.parts.heat } } : { ...state, parts }
}

function remove(state: RigState, group: PartGroup): RigState {
  if (group === 'final')
    return {
      ...state,
      parts: { ...state.parts, final: { ...state.parts.final, dead: true, shortOhm: null } },
    }
  if (group === 'supplyInput')
    return {
      ...state,
      parts: { ...state.parts, supplyInput: { ...state.parts.supplyInput, diodeShorted: false } },
    }
  throw new CoreError('unknown-item', message('error.notAlone', { group }))
}

function fitTrimmer(state: RigState): RigState {
  const { reference } = state.parts
  const middleF = reference.fixedF + reference.trimmerF.min
  return {
    ...state,
    parts: {
      ...state.parts,
      reference: {
        ...reference,
        fixedF: middleF * (1 - FITTED_SPAN),
        trimmerF: { min: 0, max: 2 * FITTED_SPAN * middleF },
      },
    },
  }
}
