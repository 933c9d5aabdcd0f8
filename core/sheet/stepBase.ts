import type { Adjuster, Step } from './modelSheet'

/** What every sheet says alike. */
export const DUMMY_LOAD = 'Dummy load on the antenna socket. Never align into an antenna.'
export const RF_BURN = 'RF burns: keep fingers off output coils and socket while keyed. Finals get hot.'
export const WAX = 'Soften the wax and use the correct tool; cores split.'
export const NEVER_KEY_GENERATOR = 'Never key into the generator: disconnect it or use an attenuator.'
export const UNLOCKED = 'An unlocked set must not transmit.'

/** Solid-state key-down on alignment, rest at least twice as long (common practice). */
export const USUAL_KEY_DOWN_S = 20

/** A step on dummy load without adjusters, needs or common condition. */
export const STEP = {
  cautions: [DUMMY_LOAD],
  criterion: null,
  adjusters: [],
  needs: [],
  skipIf: null,
  decides: false,
  keyDownLimitS: USUAL_KEY_DOWN_S,
} satisfies Partial<Step>
/** A step that is measured without keying. */
export const UNKEYED_STEP = {
  ...STEP,
  keyDownLimitS: null,
  cautions: [] as readonly string[],
} satisfies Partial<Step>

type Pin = readonly [where: string, x: number, y: number]

export function core(
  designator: string,
  role: Adjuster['role'],
  name: string,
  moves: string,
  [where, x, y]: Pin,
  caution: string | null = 'Core is waxed: warm the wax, do not force. A steel screwdriver splits it.',
): Adjuster {
  return {
    designator,
    kind: 'core',
    role,
    name,
    moves,
    where,
    turn: 'inwards lowers the tuning, about one turn each way',
    tool: 'hexagonal plastic tool, 2 mm',
    caution,
    board: { x, y },
  }
}

export function trimmer(
  designator: string,
  role: Adjuster['role'],
  name: string,
  moves: string,
  [where, x, y]: Pin,
): Adjuster {
  return {
    designator,
    kind: 'trimmer',
    role,
    name,
    moves,
    where,
    turn: 'more capacitance lowers the frequency, half a turn end to end',
    tool: 'ceramic blade',
    caution: 'Brittle: never force. Mark its position first.',
    board: { x, y },
  }
}

export function preset(
  designator: string,
  role: Adjuster['role'],
  name: string,
  moves: string,
  [where, x, y]: Pin,
  caution: string | null = 'Note its position. If dirty: clean, then turn end to end ten times.',
): Adjuster {
  return {
    designator,
    kind: 'preset',
    role,
    name,
    moves,
    where,
    turn: 'clockwise raises, 270\u00b0',
    tool: 'insulated blade, 2.5 mm',
    caution,
    board: { x, y },
  }
}

/** A number in a service menu: exact, and the only way back is the value written down before. */
export function menuValue(
  designator: string,
  role: Adjuster['role'],
  name: string,
  moves: string,
  where: string,
): Adjuster {
  return {
    designator,
    kind: 'menu-value',
    role,
    name,
    moves,
    where,
    turn: '00 to FF, up raises',
    tool: 'keys of the set',
    caution: 'Write the original value down before the first change.',
    board: { x: 0, y: 0 },
  }
}

export function control(
  designator: string,
  role: Adjuster['role'],
  name: string,
  moves: string,
  caution: string | null = null,
): Adjuster {
  return {
    designator,
    kind: 'control',
    role,
    name,
    moves,
    where: 'front panel',
    turn: 'clockwise raises',
    tool: 'fingers',
    caution,
    board: { x: 0, y: 0 },
  }
}
