import type { Logged, TracePoint } from '#core/practice'
import { truthOf, type RigState } from '#core/rig'

const TRACE_EVERY_S = 0.5
/** An hour and more of a forgotten session is enough. */
const MAX_TRACE = 20_000

/** What was done in a session and how the set went, by its clock: warm-up that was passed counts. */
export class BenchSessionLog {
  readonly log: Logged[] = []
  readonly trace: TracePoint[] = []

  constructor(readonly start: RigState) {}

  /** Time of the session [s]. */
  seconds(state: RigState): number {
    return state.memory.timeS - this.start.memory.timeS
  }

  note(state: RigState, action: Logged['action'], motion: string | null): void {
    this.log.push({ atS: this.seconds(state), atMs: Date.now(), action, motion })
  }

  /** A point of the trace if the last one is old enough. */
  follow(state: RigState): void {
    if (this.seconds(state) - (this.trace.at(-1)?.atS ?? -Infinity) >= TRACE_EVERY_S) this.point(state)
  }

  point(state: RigState): void {
    if (this.trace.length >= MAX_TRACE) return
    const { values, junctionC, channelHz } = truthOf(state)
    this.trace.push({
      atS: this.seconds(state),
      powerW: values.powerW ?? 0,
      keyed: state.controls.keyed,
      junctionC,
      supplyA: values.supplyA ?? 0,
      errorHz: values.carrierHz ? values.carrierHz - channelHz : null,
    })
  }
}
