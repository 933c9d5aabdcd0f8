import { setTimeout as sleep } from 'node:timers/promises'
import type { InstrumentProfile, InstrumentSetup } from '../../core/instrument'
import type { LinkState, LiveLink, LivePoll } from '../../shared/live'
import { pollInstrument } from '../scpi/pollInstrument'
import { ScpiConnection, type ScpiEndpoint } from '../scpi/scpiConnection'

/** One poll starts every 100 ms. */
const POLL_EVERY_MS = 100
/** A query may take this long; two of them still leave "not answering" within 2 s. */
const ANSWER_WITHIN_MS = 700
const RETRY_AFTER_MS = 500
/** Errors that the instrument itself has queued are asked for this often, in polls. */
const ASK_ERRORS_EVERY = 50

export interface InstrumentConfig {
  readonly id: string
  readonly name: string
  /** as the instrument stands: attenuation and range applied */
  readonly profile: InstrumentProfile
  readonly setup: InstrumentSetup
  readonly endpoint: ScpiEndpoint
}

export interface LinkListener {
  poll(poll: LivePoll): void
  link(link: LiveLink): void
  /** something for the log that is no change of state */
  remark(config: InstrumentConfig, text: string): void
}

/** Keeps one instrument polled until it is stopped: connects, asks, reports, reconnects. */
export class InstrumentLink {
  private readonly stopper = new AbortController()
  private line: ScpiConnection | null = null
  private current: LiveLink

  constructor(readonly config: InstrumentConfig, private readonly listener: LinkListener) {
    this.current = this.describe('connecting', 'connecting', null)
    void this.run()
  }

  get link(): LiveLink {
    return this.current
  }

  stop(): void {
    this.stopper.abort()
    this.line?.close()
  }

  private get stopped(): boolean {
    return this.stopper.signal.aborted
  }

  private async run(): Promise<void> {
    while (!this.stopped) {
      try {
        await this.talk()
      }
      catch (error) {
        if (!this.stopped) this.change('silent', error instanceof Error ? error.message : String(error))
      }
      this.line?.close()
      this.line = null
      await sleep(RETRY_AFTER_MS, undefined, { signal: this.stopper.signal }).catch(() => undefined)
    }
  }

  private async talk(): Promise<void> {
    const line = await ScpiConnection.open(this.config.endpoint, ANSWER_WITHIN_MS)
    this.line = line
    const identity = (await line.query('*IDN?', ANSWER_WITHIN_MS)).line.slice(0, 200)
    await line.send('*CLS')
    for (let round = 1; !this.stopped; round++) {
      const startedMs = performance.now()
      const { readings, receivedAtMs } = await pollInstrument(line, this.config.profile, ANSWER_WITHIN_MS)
      this.change('live', identity, identity)
      this.listener.poll({ instrumentId: this.config.id, instrument: this.config.name, readings, receivedAtMs })
      if (round % ASK_ERRORS_EVERY === 0) await this.askErrors(line)
      const restMs = POLL_EVERY_MS - (performance.now() - startedMs)
      if (restMs > 0) await sleep(restMs, undefined, { signal: this.stopper.signal })
    }
  }

  private async askErrors(line: ScpiConnection): Promise<void> {
    const { line: answer } = await line.query('SYST:ERR?', ANSWER_WITHIN_MS)
    if (!/^[+-]?0\b/.test(answer)) this.listener.remark(this.config, answer.slice(0, 200))
  }

  /** Reports a change once; the time stays that of the first failure while it keeps failing. */
  private change(state: LinkState, detail: string, identity: string | null = this.current.identity): void {
    if (this.current.state === state) return
    this.current = this.describe(state, detail, identity)
    this.listener.link(this.current)
  }

  private describe(state: LinkState, detail: string, identity: string | null): LiveLink {
    const { id, name, profile, setup } = this.config
    return { instrumentId: id, instrument: name, profileId: profile.id, setup, state, sinceMs: Date.now(), detail, identity }
  }
}
