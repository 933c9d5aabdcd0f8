import { QUANTITIES } from '../../quantity'
import { CHANNEL_PLANS, OWN_PLAN, planOf } from '../../rules'
import type { MeasurePoint, ModelSheet, PowerControl, Step, TargetSpec } from '../modelSheet'
import { SCHOOLS } from '../schools/schools'
import { bandProblems } from './checkBands'
import { comesAfter, cycleIn } from './order'
import { location, problem, twice, type SheetLocation, type SheetProblem } from './sheetProblem'

/** Everything in a sheet that would fail on the bench; empty = it can be used. */
export function checkSheet(sheet: ModelSheet): SheetProblem[] {
  return [
    ...twice(
      'adjuster',
      sheet.adjusters.map(a => a.designator),
    ),
    ...twice(
      'step',
      sheet.procedure.map(s => s.id),
    ),
    ...twice(
      'row',
      sheet.matrix.map(p => p.id),
    ),
    ...twice(
      'test-point',
      (sheet.testPoints ?? []).map(t => t.id),
    ),
    ...planProblems(sheet),
    ...(sheet.matrix.length === 0 ? [problem('no-matrix', location('as-found'))] : []),
    ...(sheet.procedure.length === 0 ? [problem('no-steps', location('procedure'))] : []),
    ...sheet.matrix.flatMap(p => pointProblems(sheet, p, location('row', p.id))),
    ...sheet.procedure.flatMap((s, i) => stepProblems(sheet, s, i)),
    ...ringProblem(sheet.procedure),
    ...schemeProblems(sheet),
    ...powerControlProblems(sheet),
    ...schoolProblems(sheet),
  ]
}

const hasPlan = ({ planId }: ModelSheet) => planId === OWN_PLAN || CHANNEL_PLANS.some(p => p.id === planId)

function planProblems(sheet: ModelSheet): SheetProblem[] {
  if (!hasPlan(sheet)) return [problem('unknown-plan', location('sheet'), sheet.planId)]
  return sheet.planId === OWN_PLAN ? bandProblems(sheet.bands ?? []) : []
}

function stepProblems(sheet: ModelSheet, step: Step, index: number): SheetProblem[] {
  const at = location('step', step.id)
  const known = new Map(sheet.procedure.map((s, i) => [s.id, i]))
  const measured = step.points.some(p => p.wants.some(w => w.quantity === step.criterion?.quantity))
  return [
    ...step.adjusters
      .filter(d => !sheet.adjusters.some(a => a.designator === d))
      .map(d => problem('unknown-adjuster', at, d)),
    ...comesAfter(step)
      .filter(id => !known.has(id))
      .map(id => problem('unknown-step', at, id)),
    ...comesAfter(step)
      .filter(id => (known.get(id) ?? -1) > index)
      .map(id => problem('needs-later', at, id)),
    ...(step.points.length === 0 ? [problem('no-points', at)] : []),
    ...twice(
      'step',
      step.points.map(p => p.id),
      id => location('step', step.id, id),
    ),
    ...(step.criterion && !measured ? [problem('not-measured-here', at, step.criterion.quantity)] : []),
    ...step.points.flatMap(p => pointProblems(sheet, p, location('step', step.id, p.id))),
  ]
}

function pointProblems(sheet: ModelSheet, { state, wants }: MeasurePoint, at: SheetLocation): SheetProblem[] {
  const plan = hasPlan(sheet) ? planOf(sheet) : null
  const outOfPlan =
    plan && state.channel !== null && (state.channel < 1 || state.channel > plan.channelsHz.length)
  const modes = state.channel === null ? [] : (plan?.modes?.[state.channel - 1] ?? [])
  const targets = wants.flatMap(w => (w.target ? [w.target] : []))
  return [
    ...(wants.length === 0 ? [problem('no-wants', at)] : []),
    ...(state.lowPower && state.powerPosition ? [problem('two-power-positions', at)] : []),
    ...(outOfPlan ? [problem('unknown-channel', at, String(state.channel))] : []),
    ...(state.keyed && modes.length > 0 && !modes.includes(state.mode)
      ? [problem('mode-not-in-band', at, state.mode)]
      : []),
    ...(state.channel === null && targets.some(t => t.kind === 'channel-error')
      ? [problem('unknown-channel', at)]
      : []),
    ...wants.filter(w => !(w.quantity in QUANTITIES)).map(w => problem('unknown-quantity', at, w.quantity)),
    ...targets.flatMap(t => targetProblems(sheet, t, at)),
  ]
}

function targetProblems(sheet: ModelSheet, target: TargetSpec, at: SheetLocation): SheetProblem[] {
  switch (target.kind) {
    case 'window': {
      const { low, high, aim } = target.window
      return (low !== null && high !== null && low > high) ||
        (aim !== null && (aim < (low ?? aim) || aim > (high ?? aim)))
        ? [problem('window-upside-down', at)]
        : []
    }
    case 'channel-error':
    case 'nominal-error':
      return target.lowHz > target.highHz || target.aimHz < target.lowHz || target.aimHz > target.highHz
        ? [problem('window-upside-down', at)]
        : []
    case 'like-reading':
      return target.lowRatio > target.highRatio ? [problem('window-upside-down', at)] : []
    case 'above-reading': {
      const step = sheet.procedure.find(s => s.id === target.stepId)
      return [
        ...(step && !step.points.some(p => p.id === target.pointId)
          ? [problem('unknown-point', at, target.pointId)]
          : []),
        ...(target.low > target.high ? [problem('window-upside-down', at)] : []),
      ]
    }
  }
}

function ringProblem(steps: readonly Step[]): SheetProblem[] {
  const ring = cycleIn(steps)
  return ring ? [problem('waits-for-itself', location('step', ring[0]!), ...ring)] : []
}

/** Both ends are rows that read a power, alike but for the control. */
function powerControlProblems({ powerControls = [], matrix }: ModelSheet): SheetProblem[] {
  const endOf = (id: string) => matrix.find(p => p.id === id && p.wants.some(w => w.quantity === 'powerW'))
  const isPair = ({ lowestPointId, highestPointId }: PowerControl) => {
    const [low, high] = [endOf(lowestPointId)?.state, endOf(highestPointId)?.state]
    return low && high && low !== high && low.mode === high.mode && low.channel === high.channel
  }
  return [
    ...twice(
      'power-control',
      powerControls.map(c => c.name),
    ),
    ...powerControls
      .filter(c => !isPair(c))
      .map(c => problem('ends-of-control', location('power-control', c.name))),
  ]
}

function schoolProblems({ schools = {} }: ModelSheet): SheetProblem[] {
  return Object.entries(schools)
    .filter(([id, side]) => !SCHOOLS.some(s => s.id === id && s.options.some(o => o.id === side)))
    .map(([id, side]) => problem('unknown-school', location('school', id), side))
}

function schemeProblems({ scheme, adjusters }: ModelSheet): SheetProblem[] {
  if (!scheme) return []
  const known = scheme.oscillators.map(o => o.id)
  return [
    ...twice('oscillator', known),
    ...scheme.frequencies.flatMap(f =>
      f.terms
        .filter(t => !known.includes(t.oscillator))
        .map(t => problem('unknown-oscillator', location('frequency', f.name), t.oscillator)),
    ),
    ...scheme.oscillators
      .filter(o => o.adjuster !== null && !adjusters.some(a => a.designator === o.adjuster))
      .map(o => problem('unknown-adjuster', location('oscillator', o.name), o.adjuster!)),
  ]
}
