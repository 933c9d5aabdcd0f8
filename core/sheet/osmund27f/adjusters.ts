import type { Adjuster } from '../modelSheet'

const CERAMIC = 'ceramic blade, 1.3 mm'
const CORE_TOOL = 'hexagonal plastic tool, 2 mm'
const WAX = 'Core is waxed: warm the wax, do not force. A steel screwdriver splits it.'

function core(designator: string, name: string, where: string, x: number, y: number): Adjuster {
  return {
    designator,
    kind: 'core',
    role: 'coil',
    name,
    moves: 'power of every channel and setting',
    where,
    turn: 'inwards lowers the tuning, about one turn each way',
    tool: CORE_TOOL,
    caution: WAX,
    board: { x, y },
  }
}

function preset(
  designator: string,
  role: Adjuster['role'],
  name: string,
  moves: string,
  where: string,
  x: number,
  y: number,
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
    caution: 'Note its position. If dirty: clean, then turn end to end ten times.',
    board: { x, y },
  }
}

/** Every adjuster of the Osmund 27F, in circuit order from the oscillators to the antenna. */
export const OSMUND_27F_ADJUSTERS: readonly Adjuster[] = [
  {
    designator: 'CT1',
    kind: 'trimmer',
    role: 'reference',
    name: 'reference trimmer',
    moves: 'transmit, receive, lock: everything',
    where: 'beside IC2, alone, next to the tall crystal',
    turn: 'more capacitance lowers, 180\u00b0 range',
    tool: CERAMIC,
    caution: 'Brittle ceramic: never force. Probe the buffered pin of IC2, never the crystal.',
    board: { x: 0.42, y: 0.16 },
  },
  {
    designator: 'CT2',
    kind: 'trimmer',
    role: 'tx-crystal',
    name: 'transmit trimmer',
    moves: 'transmit frequency only',
    where: 'right of the two trimmers',
    turn: 'more capacitance lowers, 180\u00b0 range',
    tool: CERAMIC,
    caution: 'CT3 beside it sets receive. Turn a few degrees and back to identify it.',
    board: { x: 0.7, y: 0.16 },
  },
  {
    designator: 'CT3',
    kind: 'trimmer',
    role: 'rx-crystal',
    name: 'receive trimmer',
    moves: 'receive frequency only',
    where: 'left of the two trimmers',
    turn: 'more capacitance lowers, 180\u00b0 range',
    tool: CERAMIC,
    caution: 'Not part of this procedure: leave it as it is.',
    board: { x: 0.58, y: 0.16 },
  },
  core('L1', 'first drive coil', 'front row, first from the left', 0.14, 0.52),
  core('L2', 'second drive coil', 'front row, second', 0.26, 0.52),
  core('L3', 'third drive coil', 'front row, third, under the shield plate', 0.38, 0.52),
  core('L4', 'driver coil', 'front row, fourth', 0.5, 0.52),
  core('L5', 'final input coil', 'front row, fifth, beside the heat sink', 0.62, 0.52),
  core('L6', 'output coil', 'rear corner, left of the antenna socket', 0.78, 0.52),
  core('L7', 'output loading coil', 'rear corner, at the antenna socket', 0.9, 0.52),
  preset(
    'RV1',
    'low-power-preset',
    'low-power preset',
    'power in the low position',
    'edge, beside the power switch',
    0.2,
    0.88,
  ),
  preset(
    'RV2',
    'deviation-preset',
    'deviation preset',
    'deviation',
    'beside the microphone amplifier',
    0.5,
    0.88,
  ),
  preset('RV3', 'panel-preset', 'meter preset', 'panel RF meter only', 'behind the panel meter', 0.8, 0.88),
]
