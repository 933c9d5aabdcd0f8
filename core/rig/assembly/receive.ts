import { powerDb } from '../../quantity'
import { ifFilter, levelForSinad, sinadDb, sMeter, type Detection } from '../../circuit'
import type { At, RigDesign } from '../rigDesign'
import type { RigState } from '../rigState'
import { rowResponse } from './drive'
import type { Frequencies } from './frequencies'

export interface Reception {
  readonly sensitivityV: number
  readonly audibleV: number
  readonly sinadDb: number | null
  readonly sMeter: number | null
  readonly lossDb: number
}

/** Generator as common practice sets it: AM 30 %, FM 60 % of 2 kHz, SSB a beat of 1 kHz. */
const AM_DETECTION = { kind: 'am', depthRatio: 0.3, audioHz: 3000 } as const
const FM_DETECTION = { kind: 'fm', deviationHz: 1200, audioHz: 3000 } as const
/** Criteria: 12 dB SINAD on FM, 10 dB (S+N)/N elsewhere; an ear is content with less [dB]. */
const FM_WANTED_DB = 12
const WANTED_DB = 10
const AUDIBLE_DB = 5

/** What the receiver makes of the generator at its socket, and how weak a signal it still hears. */
export function receive(design: RigDesign, state: RigState, at: At, f: Frequencies): Reception {
  const { parts, controls, stimulus } = state
  const detection = detectionOf(design, controls.mode)
  const coils = rowResponse(state, design.wiring.receiveCoils ?? [], f.channelHz)
  const preselector = design.wiring.preselector
    ? preselectorResponse(design, at(design.wiring.preselector), controls.channel)
    : 1
  // A generator beside the channel lands beside the middle of the filter.
  const besideHz = stimulus.inputHz === null ? 0 : stimulus.inputHz - f.channelHz
  const lossDb =
    ifFilter.respond(parts.ifFilter, { frequencyHz: f.secondIfHz + besideHz }, null) -
    powerDb(Math.max(1e-9, coils * preselector))
  const on = controls.powerOn && !controls.keyed
  return {
    lossDb,
    sensitivityV: levelForSinad(
      parts.frontEnd,
      lossDb,
      detection,
      detection.kind === 'fm' ? FM_WANTED_DB : WANTED_DB,
    ),
    audibleV: levelForSinad(parts.frontEnd, lossDb, detection, AUDIBLE_DB),
    sinadDb: on && stimulus.inputV > 0 ? sinadDb(parts.frontEnd, lossDb, detection, stimulus.inputV) : null,
    sMeter:
      on && parts.sMeter
        ? sMeter.respond(
            parts.sMeter,
            {
              levelV: stimulus.inputV,
              lossDb: lossDb + parts.frontEnd.faultLossDb,
              preset: design.wiring.sMeter ? menuShare(design, at, design.wiring.sMeter) : 0.5,
            },
            null,
          )
        : null,
  }
}

export function detectionOf(design: RigDesign, mode: RigState['controls']['mode']): Detection {
  if (mode === 'AM') return AM_DETECTION
  return mode === 'FM' ? FM_DETECTION : { kind: 'ssb', bandwidthHz: design.ssbBandwidthHz }
}

/** A preset as it is, a menu value as its share of the range. */
function menuShare(design: RigDesign, at: At, designator: string): number {
  return at(designator) / (design.adjusters[designator]?.max ?? 1)
}

const PRESELECTOR_WIDTH = 0.06
/** Where the preselector peaks on a band, 0..1: each band has its sector on the dial. */
export const preselectorPeak = (channel: number) => 0.2 + 0.14 * channel

/**
 * Power response of the preselector about its peak for this band. Source: one tuned circuit on a dial;
 * illustrative width.
 */
export function preselectorResponse(_design: RigDesign, position: number, channel: number): number {
  return 1 / (1 + ((position - preselectorPeak(channel)) / PRESELECTOR_WIDTH) ** 2)
}
