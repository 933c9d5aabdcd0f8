import { boundaryOf } from '../../numeric/search'
import { powerDb, dbToPowerRatio, dbmToVolts, voltsToDbm } from '../../quantity'

/** Thermal noise at 290 K [dBm/Hz]. Source: kT = 4.004e-21 W/Hz (C26). */
const KT_DBM_PER_HZ = -173.975

/** Front end of a receiver. */
export interface FrontEnd {
  readonly noiseFigureDb: number
  /** loss before the first active stage that should not be there [dB] */
  readonly faultLossDb: number
  /** distortion of detector and audio [ratio] */
  readonly distortionRatio: number
}

/** How a signal on its channel is detected. */
export type Detection =
  | { readonly kind: 'ssb'; readonly bandwidthHz: number }
  | { readonly kind: 'am'; readonly depthRatio: number; readonly audioHz: number }
  | { readonly kind: 'fm'; readonly deviationHz: number; readonly audioHz: number }

/**
 * Audio signal-to-noise [ratio] of a level at the socket.
 *
 * @param levelV pd into 50 ohm [V], >= 0
 * @param lossDb all that stands between socket and first stage beside its noise figure [dB]
 * Source: SSB 10 log S/N = level - (kT B NF) (C26); AM m^2 Pc / (kTF 2W) (C27); FM 1.5 (dev/W)^2 Pc / (kTF W)
 * above threshold (C28). Limits: FM below threshold is bent down smoothly, 2 dB per dB, which is a shape and
 * no law.
 */
export function audioSnr(
  noiseFigureDb: number,
  lossDb: number,
  detection: Detection,
  levelV: number,
): number {
  if (!(levelV > 0)) return 0
  const carrierToDensity = dbToPowerRatio(voltsToDbm(levelV) - lossDb - noiseFigureDb - KT_DBM_PER_HZ)
  switch (detection.kind) {
    case 'ssb':
      return carrierToDensity / detection.bandwidthHz
    case 'am':
      return (detection.depthRatio ** 2 * carrierToDensity) / (2 * detection.audioHz)
    case 'fm': {
      const above =
        (1.5 * (detection.deviationHz / detection.audioHz) ** 2 * carrierToDensity) / detection.audioHz
      const inIf = carrierToDensity / (2 * (detection.deviationHz + detection.audioHz))
      return (above * inIf) / (inIf + 2)
    }
  }
}

/**
 * SINAD [dB] >= 0 of a level. Source: (S + N + D)/(N + D); distortion limits it at high levels only (C26).
 */
export function sinadDb(p: FrontEnd, lossDb: number, detection: Detection, levelV: number): number {
  const snr = audioSnr(p.noiseFigureDb, lossDb + p.faultLossDb, detection, levelV)
  return snr > 0 ? powerDb(1 + 1 / (1 / snr + p.distortionRatio ** 2)) : 0
}

/** Levels between which a receiver is searched [dBm]. */
const SEARCHED_DBM = [-150, 0] as const

/** Level [V pd] at which the SINAD reaches wantedDb; Infinity when it never does. */
export function levelForSinad(p: FrontEnd, lossDb: number, detection: Detection, wantedDb: number): number {
  const isBelow = (dbm: number) => sinadDb(p, lossDb, detection, dbmToVolts(dbm)) < wantedDb
  const [lowDbm, highDbm] = SEARCHED_DBM
  return isBelow(highDbm) ? Infinity : dbmToVolts(boundaryOf(lowDbm, highDbm, isBelow))
}
