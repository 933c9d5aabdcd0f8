import { powerRatioToDb, relativeBound } from '../quantity'
import { isLinear } from './peak'
import { figureIn, type Trial } from './trials'

/** Gain on a bare carrier, and against the first trial of the same amplifier. */
export interface Gain {
  readonly kind: 'gain'
  readonly driveW: number
  readonly outW: number
  readonly db: number
  /** null = it is the first; boundDb null = the accuracy of a meter is not known */
  readonly first: {
    readonly trial: Trial
    readonly changeDb: number
    readonly boundDb: number | null
    /** both drives are apart enough for a gain that falls with drive to show */
    readonly isOtherDrive: boolean
  } | null
}

/** Drives nearer than this are the same try once more [ratio]. */
const SAME_DRIVE = 0.1

/** Output over drive [dB], both carriers. */
export function gains(trial: Trial, earlier: readonly Trial[]): Gain[] {
  const own = gainOf(trial)
  if (!own) return []
  const first = earlier.find(
    t => gainOf(t) !== null && t.noted.amplifier?.name === trial.noted.amplifier?.name,
  )
  const { driveW, outW, db, boundDb } = own
  return [{ kind: 'gain', driveW, outW, db, first: first ? against(first) : null }]

  function against(other: Trial): NonNullable<Gain['first']> {
    const was = gainOf(other)!
    const changeDb = own!.db - was.db
    const bound = boundDb === null || was.boundDb === null ? null : Math.hypot(boundDb, was.boundDb)
    const isOtherDrive = Math.abs(driveW / was.driveW - 1) > SAME_DRIVE
    return { trial: other, changeDb, boundDb: bound, isOtherDrive }
  }
}

function gainOf(trial: Trial): { driveW: number; outW: number; db: number; boundDb: number | null } | null {
  if (!trial.noted.amplifier || trial.noted.signal !== 'carrier') return null
  const drive = figureIn(trial, 'drivePowerW')
  const out = figureIn(trial, 'powerW') ?? figureIn(trial, 'pepW')
  if (!drive || !out) return null
  const share = relativeBound([drive, drive.value], [out, out.value])
  return {
    driveW: drive.value,
    outW: out.value,
    db: powerRatioToDb(out.value / drive.value),
    boundDb: share === null ? null : powerRatioToDb(1 + share),
  }
}

/** PEP of an amplifier, shared by its devices, against what is claimed for each. */
export interface PerDevice {
  readonly kind: 'per-device'
  readonly pepW: number
  readonly devices: number
  readonly eachW: number
  readonly claimedW: number | null
}

/**
 * The PEP of one trial by the number of devices. Only where it is no more than carrier and depth ask for:
 * what a meter shows beyond that is not what the devices gave.
 */
export function perDevice(trial: Trial): PerDevice[] {
  const { amplifier } = trial.noted
  const pep = figureIn(trial, 'pepW')
  if (!amplifier?.devices || !pep || !isLinear(trial)) return []
  const { devices, claimedW } = amplifier
  return [{ kind: 'per-device', pepW: pep.value, devices, eachW: pep.value / devices, claimedW }]
}
