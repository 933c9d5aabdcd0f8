import type { Adjuster } from '../modelSheet'
import { core, preset } from '../stepBase'

const POWER = 'power of every channel'

/** Every adjuster of the Osmund 40A, in circuit order. */
export const OSMUND_40A_ADJUSTERS: readonly Adjuster[] = [
  {
    designator: 'C31',
    kind: 'fixed-part',
    role: 'reference',
    name: 'fixed capacitor in place of the reference trimmer',
    moves: 'transmit, receive, lock: everything',
    where: 'beside the 10.240 MHz crystal',
    turn: 'does not turn: a trimmer has to be fitted',
    tool: 'iron',
    caution: 'Fit a trimmer only with the owner\u2019s consent. Probe the buffered pin, never the crystal.',
    board: { x: 0.46, y: 0.16 },
  },
  core('L1', 'vco-coil', 'VCO coil', 'control voltage of all channels alike', [
    'in the shielded can beside IC2',
    0.68,
    0.16,
  ]),
  core('L4', 'coil', 'first drive coil', POWER, ['middle row, first from the left', 0.2, 0.48]),
  core('L5', 'coil', 'second drive coil', POWER, ['middle row, second', 0.35, 0.48]),
  core('L6', 'coil', 'driver coil', POWER, ['middle row, third', 0.5, 0.48]),
  core('L7', 'coil', 'final input coil', POWER, ['middle row, fourth, beside the heat sink', 0.65, 0.48]),
  core('L8', 'coil', 'output coil', POWER, ['rear edge, left of the antenna socket', 0.8, 0.48]),
  core('L9', 'trap', 'second-harmonic trap', 'second harmonic at 54 MHz', [
    'rear corner, at the antenna socket',
    0.92,
    0.48,
  ]),
  preset('RV1', 'panel-preset', 'RF meter preset', 'panel RF meter only', [
    'behind the panel meter',
    0.78,
    0.88,
  ]),
  preset('RV2', 's-meter-preset', 'S-meter preset', 'S-meter only', ['beside RV1', 0.56, 0.88]),
  preset('RV4', 'carrier-preset', 'carrier preset', 'AM carrier, through the series regulator', [
    'left of the regulator',
    0.12,
    0.88,
  ]),
  preset(
    'RV5',
    'modulation-preset',
    'modulation preset',
    'depth at which the limiter holds',
    ['beside the microphone amplifier', 0.34, 0.88],
    'First check that the limiter parts are all present: ' +
      'without them it has no effect. Note its position.',
  ),
]
