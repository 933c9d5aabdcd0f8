import { menuRowIds } from '../lookup'
import type { MeasurePoint, ModelSheet, Step, TargetSpec, Measurand } from '../modelSheet'

/** Where something of a sheet is named by something else, in the sheet's own words. */
export interface SheetReference {
  readonly at: 'step' | 'oscillator' | 'row'
  readonly name: string
}

/**
 * Everything that names an adjuster: steps that turn it, oscillators that it pulls, its row of menu values.
 */
export function adjusterReferences(sheet: ModelSheet, designator: string): SheetReference[] {
  return [
    ...sheet.procedure
      .filter(s => s.adjusters.includes(designator))
      .map(s => ({ at: 'step' as const, name: s.id })),
    ...(sheet.scheme?.oscillators ?? [])
      .filter(o => o.adjuster === designator)
      .map(o => ({ at: 'oscillator' as const, name: o.name })),
  ]
}

/** Every step that needs it, is skipped by it, or takes its target from it. */
export function stepReferences(sheet: ModelSheet, stepId: string): SheetReference[] {
  const others = sheet.procedure.filter(
    s =>
      s.id !== stepId &&
      (s.needs.includes(stepId) ||
        s.skipIf === stepId ||
        s.points.some(p => p.wants.some(w => targetStep(w.target) === stepId))),
  )
  const rows = sheet.matrix.filter(p => p.wants.some(w => targetStep(w.target) === stepId))
  return [
    ...others.map(s => ({ at: 'step' as const, name: s.id })),
    ...rows.map(p => ({ at: 'row' as const, name: p.id })),
  ]
}

/** The sheet with an adjuster under another designator: whoever named it names it by the new one. */
export function withAdjusterRenamed(sheet: ModelSheet, before: string, after: string): ModelSheet {
  const name = (d: string) => (d === before ? after : d)
  return {
    ...sheet,
    adjusters: sheet.adjusters.map(a => (a.designator === before ? { ...a, designator: after } : a)),
    procedure: sheet.procedure.map(s => ({
      ...s,
      adjusters: s.adjusters.map(name),
      ...rereadRenamed(s, name),
    })),
    matrix: sheet.matrix.map(p => menuRowRenamed(p, before, after)),
    ...(sheet.scheme
      ? {
          scheme: {
            ...sheet.scheme,
            oscillators: sheet.scheme.oscillators.map(o => ({
              ...o,
              adjuster: o.adjuster === null ? null : name(o.adjuster),
            })),
          },
        }
      : {}),
  }
}

function menuRowRenamed(row: MeasurePoint, before: string, after: string): MeasurePoint {
  const at = menuRowIds(before, row.state).indexOf(row.id)
  return at < 0 ? row : { ...row, id: menuRowIds(after, row.state)[at]! }
}

/** The sheet without an adjuster, and without what named it. */
export function withoutAdjuster(sheet: ModelSheet, designator: string): ModelSheet {
  return {
    ...sheet,
    adjusters: sheet.adjusters.filter(a => a.designator !== designator),
    procedure: sheet.procedure.map(s => ({ ...s, adjusters: s.adjusters.filter(d => d !== designator) })),
    ...(sheet.scheme
      ? {
          scheme: {
            ...sheet.scheme,
            oscillators: sheet.scheme.oscillators.map(o =>
              o.adjuster === designator ? { ...o, adjuster: null } : o,
            ),
          },
        }
      : {}),
  }
}

/** The sheet with a step under another number, in its needs, skips and targets alike. */
export function withStepRenamed(sheet: ModelSheet, before: string, after: string): ModelSheet {
  const name = (id: string) => (id === before ? after : id)
  return mapTargets(
    {
      ...sheet,
      procedure: sheet.procedure.map(s => ({
        ...s,
        id: name(s.id),
        needs: s.needs.map(name),
        skipIf: s.skipIf === null ? null : name(s.skipIf),
      })),
    },
    t => (targetStep(t) === before ? ({ ...t, stepId: after } as TargetSpec) : t),
  )
}

/** The sheet without a step: nothing needs it, is skipped by it or takes its target from it any more. */
export function withoutStep(sheet: ModelSheet, stepId: string): ModelSheet {
  return mapTargets(
    {
      ...sheet,
      procedure: sheet.procedure
        .filter(s => s.id !== stepId)
        .map(s => ({
          ...s,
          needs: s.needs.filter(n => n !== stepId),
          skipIf: s.skipIf === stepId ? null : s.skipIf,
        })),
    },
    t => (targetStep(t) === stepId ? null : t),
  )
}

function targetStep(target: TargetSpec | null): string | null {
  return target?.kind === 'like-reading' || target?.kind === 'above-reading' ? target.stepId : null
}

function mapTargets(sheet: ModelSheet, of: (target: TargetSpec) => TargetSpec | null): ModelSheet {
  const want = (w: Measurand): Measurand => (w.target ? { ...w, target: of(w.target) } : w)
  const point = (p: MeasurePoint): MeasurePoint => ({ ...p, wants: p.wants.map(want) })
  return {
    ...sheet,
    matrix: sheet.matrix.map(point),
    procedure: sheet.procedure.map(s => ({ ...s, points: s.points.map(point) })),
  }
}

function rereadRenamed(step: Step, name: (d: string) => string): Pick<Step, 'actions'> {
  return step.actions
    ? {
        actions: step.actions.map(a => (a.kind === 'power-cycle' ? { ...a, reread: a.reread.map(name) } : a)),
      }
    : {}
}
