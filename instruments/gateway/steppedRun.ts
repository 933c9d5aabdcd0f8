import { message, type Message } from '#core/message'
import { setTimeout as sleep } from 'node:timers/promises'
import { stepValues, steppedPoint, type SteppedPoint } from '#core/instrument'
import type { SteppedBody, SteppedView } from '#shared/instrumentCommands'
import type { InstrumentLink } from './instrumentLink'
import { saysOf } from './instrumentSays'

/** How long a step waits for its readings before it is left empty [ms]. */
const READ_WITHIN_MS = 5000
const LOOK_EVERY_MS = 20

/** Sets one thing step by step and reads another; puts the setting back whatever happens. */
export class SteppedRun {
  private readonly points: SteppedPoint[] = []
  private readonly stopper = new AbortController()
  private readonly values: number[]
  private state: SteppedView['state'] = 'running'
  private says: Message[] = []

  /** @throws {CoreError} out-of-range */
  constructor(
    private readonly plan: SteppedBody,
    private readonly setter: InstrumentLink,
    private readonly reader: InstrumentLink,
  ) {
    this.values = stepValues(plan)
    void this.run()
  }

  view(): SteppedView {
    return {
      plan: this.plan,
      state: this.state,
      points: this.points,
      of: this.values.length,
      says: this.says,
    }
  }

  cancel(): void {
    this.stopper.abort()
  }

  private async run(): Promise<void> {
    let before: number | null = null
    let end: SteppedView['state'] = 'done'
    try {
      before = await this.setter.tell(this.plan.set)
      for (const value of this.values) {
        if (this.stopper.signal.aborted) break
        await this.setter.set(this.plan.set, value)
        await sleep(this.plan.settleS * 1000, undefined, { signal: this.stopper.signal })
        this.points.push(await this.read(value))
      }
    } catch (error) {
      if (!this.stopper.signal.aborted) {
        end = 'failed'
        this.says.push(saysOf(error))
      }
    }
    if (before !== null)
      await this.setter.set(this.plan.set, before).then(
        () => (this.says.length > 0 ? 0 : this.says.push(message('gateway.restored'))),
        () => this.says.push(message('gateway.notRestored')),
      )
    // Only now it is over: nobody reads "finished" while the generator still stands at its last step.
    this.state = this.stopper.signal.aborted ? 'cancelled' : end
  }

  /** Readings that came in after now; those without a value count as none. */
  private async read(value: number): Promise<SteppedPoint> {
    const sinceMs = performance.timeOrigin + performance.now()
    const until = sinceMs + READ_WITHIN_MS
    const taken: { value: number; standardUncertainty: number | null }[] = []
    let lastMs = sinceMs
    let polls = 0
    while (polls < this.plan.readings && performance.timeOrigin + performance.now() < until) {
      const poll = this.reader.latest
      if (poll && poll.receivedAtMs > lastMs) {
        lastMs = poll.receivedAtMs
        polls++
        const reading = poll.readings.find(r => r.quantity === this.plan.read)
        if (reading?.status === 'ok' && reading.value !== null)
          taken.push({ value: reading.value, standardUncertainty: reading.standardUncertainty })
      } else await sleep(LOOK_EVERY_MS, undefined, { signal: this.stopper.signal })
    }
    return steppedPoint(value, taken)
  }
}
