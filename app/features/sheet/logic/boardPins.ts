import type { MessageCode } from '#shared/i18n'
import type { BoardPosition, BoardSide, ModelSheet } from '#core/sheet'

/** Something that can be found on a board: an adjuster or a test point. */
export interface BoardPin {
  readonly id: string
  readonly kind: 'core' | 'trimmer' | 'preset' | 'part' | 'test-point'
  readonly name: string
  readonly position: BoardPosition
  readonly path: string
}

/** Pins of one side; menu values and front panel controls are nowhere on a board. */
export function boardPins(
  { adjusters, testPoints }: Pick<ModelSheet, 'adjusters' | 'testPoints'>,
  side: BoardSide,
): BoardPin[] {
  const turned = adjusters.flatMap((a): BoardPin[] =>
    a.kind === 'menu-value' || a.kind === 'control'
      ? []
      : [
          {
            id: a.designator,
            kind: a.kind === 'fixed-part' ? 'part' : a.kind,
            name: a.name,
            position: a.board,
            path: `adjuster/${a.designator}/board`,
          },
        ],
  )
  const probed = (testPoints ?? []).map((t): BoardPin => ({
    id: t.id,
    kind: 'test-point',
    name: t.name,
    position: t.board,
    path: `test-point/${t.id}/board`,
  }))
  return [...turned, ...probed].filter(p => (p.position.side ?? 'parts') === side)
}

/** Sides that something lies on, the parts side always. */
export function boardSides(sheet: ModelSheet): BoardSide[] {
  return boardPins(sheet, 'solder').length > 0 || (sheet.boards ?? []).some(b => b.side === 'solder')
    ? ['parts', 'solder']
    : ['parts']
}

/** Side on which most of what is wanted lies. */
export function sideOf(sheet: ModelSheet, wanted: readonly string[]): BoardSide {
  const solder = boardPins(sheet, 'solder').filter(p => wanted.includes(p.id)).length
  return solder > boardPins(sheet, 'parts').filter(p => wanted.includes(p.id)).length ? 'solder' : 'parts'
}

export const SIDE_WORDS: Readonly<Record<BoardSide, MessageCode>> = {
  parts: 'sheet.partsSide',
  solder: 'sheet.solderSide',
}

/** Address of a photo of a board. */
export const pictureUrl = (pictureId: string) => `/api/sheet-pictures/${pictureId}`

/** Zoomed to show everything that is wanted, with some board around it: scale and centre [ratios]. */
export function showing(
  pins: readonly BoardPin[],
  wanted: readonly string[],
): { scale: number; x: number; y: number } {
  const seen = pins.filter(p => wanted.includes(p.id)).map(p => p.position)
  if (seen.length === 0) return { scale: 1, x: 0.5, y: 0.5 }
  const [xs, ys] = [seen.map(p => p.x), seen.map(p => p.y)]
  const span = Math.max(Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys)) + 0.3
  return {
    scale: Math.max(1, Math.min(1.8, 1 / span)),
    x: (Math.max(...xs) + Math.min(...xs)) / 2,
    y: (Math.max(...ys) + Math.min(...ys)) / 2,
  }
}
