import { dbToPowerRatio, type Quantity } from '../../quantity'
import type { Step } from '../../sheet'

/** What a core can be peaked on: how a reading becomes a power-like level, and which way is better. */
export interface PeakedQuantity {
  readonly quantity: Quantity
  readonly scale: 'power' | 'voltage' | 'decibel' | 's-units' | 'current'
  readonly seek: 'largest' | 'smallest'
  /** in the receiver: its generator has to follow */
  readonly receiver: boolean
}

/**
 * In the order in which they are tried: the output itself, then what shows drive before there is output, then
 * the receiver (A0.4, A6.5, A10.7).
 */
export const PEAKED: readonly PeakedQuantity[] = [
  { quantity: 'powerW', scale: 'power', seek: 'largest', receiver: false },
  { quantity: 'pepW', scale: 'power', seek: 'largest', receiver: false },
  { quantity: 'supplyA', scale: 'current', seek: 'largest', receiver: false },
  { quantity: 'probeV', scale: 'voltage', seek: 'largest', receiver: false },
  { quantity: 'plateA', scale: 'current', seek: 'smallest', receiver: false },
  // The preselector of a valve stage is peaked on the largest plate current, its plate capacitor on the
  // smallest: the hand says which (A6.3).
  { quantity: 'plateA', scale: 'current', seek: 'largest', receiver: false },
  { quantity: 'sinadDb', scale: 'decibel', seek: 'largest', receiver: true },
  { quantity: 'sMeter', scale: 's-units', seek: 'largest', receiver: true },
  { quantity: 'agcV', scale: 'voltage', seek: 'largest', receiver: true },
]

/** Tells the choices of one list apart: one quantity may be sought both ways. */
export const peakKey = ({ quantity, seek }: Pick<PeakedQuantity, 'quantity' | 'seek'>) =>
  `${quantity} ${seek}`

/** One S-unit is nominally 6 dB (C25). */
const DB_PER_S = 6
/** Least level that a logarithm can be taken of. */
const MIN = 1e-12
/** A reading of each scale as a power. */
const POWER_OF: Readonly<Record<PeakedQuantity['scale'], (value: number) => number>> = {
  'decibel': value => dbToPowerRatio(value),
  's-units': value => dbToPowerRatio(value * DB_PER_S),
  'power': value => value,
  'voltage': value => value ** 2,
  'current': value => value ** 2,
}

/**
 * A reading as a level that is larger when it is better, so that one guide serves all: powers as they are,
 * volts and amperes squared, decibels undone, a dip turned over.
 */
export function peakLevel({ scale, seek }: PeakedQuantity, value: number): number {
  const level = POWER_OF[scale](value)
  return seek === 'smallest' ? 1 / Math.max(MIN, level) : Math.max(MIN, level)
}

/** What a step could be peaked on now, the step's own quantity first: of those that are read. */
export function peakQuantities(step: Step, isRead: (q: Quantity) => boolean): PeakedQuantity[] {
  const own = step.criterion?.kind === 'peak' ? step.criterion : null
  const sought = own && (own.seek ?? PEAKED.find(p => p.quantity === own.quantity)?.seek)
  const first = own
    ? PEAKED.filter(p => p.quantity === own.quantity)
        .slice(0, 1)
        .map(p => ({ ...p, seek: sought! }))
    : []
  const receiver = step.points.every(p => !p.state.keyed)
  return [
    ...first,
    ...PEAKED.filter(p => !(p.quantity === own?.quantity && p.seek === sought) && p.receiver === receiver),
  ].filter(p => isRead(p.quantity))
}

/**
 * Above this the receiver is no longer at a low level: SINAD flattens and the automatic gain hides the coil
 * [dB].
 */
const SINAD_HIGH_DB = 20
const STEP_DB = 10

/**
 * The generator is stepped down as the set gets better, so that the reading stays where it tells something
 * (A10.7).
 * @returns dB to take away, or null
 */
export function generatorAdvice(quantity: Quantity, value: number): number | null {
  if (quantity === 'sinadDb') return value > SINAD_HIGH_DB ? STEP_DB : null
  if (quantity === 'sMeter') {
    if (value > 5) return STEP_DB
    return null
  }
  return null
}
