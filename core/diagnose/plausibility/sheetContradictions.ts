import type { Adjuster } from '../../sheet'

/** Something in a sheet that cannot be as it is written (P29): ask the drawing or the set. */
export type SheetContradiction =
  | { readonly rule: 'P29'; readonly kind: 'twice'; readonly designator: string }
  | {
      readonly rule: 'P29'
      readonly kind: 'wrong-name'
      readonly designator: string
      readonly adjuster: Adjuster['kind']
    }

/** First letters of designators by kind of part (common practice in circuit diagrams). */
const LETTERS: Partial<Record<Adjuster['kind'], RegExp>> = {
  preset: /^(R|RV|VR|P)\d/,
  trimmer: /^(C|CT|TC|VC|CV)\d/,
  core: /^(L|T)\d/,
}

/**
 * One name on two parts, or the name of a preset on a trimmer. Names that are words (controls, menus) say
 * nothing.
 */
export function sheetContradictions(adjusters: readonly Adjuster[]): SheetContradiction[] {
  const names = adjusters.map(a => a.designator)
  const twice = [...new Set(names.filter((n, i) => names.indexOf(n) !== i))].map(
    designator => ({ rule: 'P29', kind: 'twice', designator }) as const,
  )
  const wrong = adjusters.flatMap(a => {
    const own = LETTERS[a.kind]
    const others = Object.entries(LETTERS)
      .filter(([kind]) => kind !== a.kind)
      .map(([, letters]) => letters)
    return own && !own.test(a.designator) && others.some(l => l!.test(a.designator))
      ? [{ rule: 'P29', kind: 'wrong-name', designator: a.designator, adjuster: a.kind } as const]
      : []
  })
  return [...twice, ...wrong]
}
