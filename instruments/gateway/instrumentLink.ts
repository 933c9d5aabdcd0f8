import { message, type Message } from '#core/message'
import { setTimeout as sleep } from 'node:timers/promises'
import { CoreError } from '#core/errors'
import {
  scpiNumber,
  type InstrumentProfile,
  type InstrumentSetup,
  type ProfileSetting,
  type SettingName,
} from '#core/instrument'
import type { OwnProfile } from '#shared/instrument'
import type { InstrumentAnswer } from '#shared/instrumentCommands'
import { blockHead } from '#core/scpi'
import type { LinkState, LiveLink, LivePoll } from '#shared/live'
import { saysOf, understood } from './instrumentSays'
import { pollInstrument } from '../scpi/pollInstrument'
import { ScpiConnection, ScpiError, isSerial, type ScpiEndpoint } from '../scpi/scpiConnection'
import type { Targets } from '../scpi/targets'

/** One poll starts every 100 ms. */
const POLL_EVERY_MS = 100
/** A query may take this long; two of them still leave "not answering" within 2 s. */
const ANSWER_WITHIN_MS = 700
const RETRY_AFTER_MS = 500
/** Errors that the instrument itself has queued are asked for this often, in polls. */
const ASK_ERRORS_EVERY = 50
const NO_ERROR = /^[+-]?0\b/
/** More errors than this after one line are not told. */
const MAX_ERRORS = 5

export interface InstrumentConfig {
  readonly id: string
  readonly name: string
  /** as the instrument stands: attenuation and range applied */
  readonly profile: InstrumentProfile
  readonly setup: InstrumentSetup
  /** its own queries; null = as shipped */
  readonly ownProfile?: OwnProfile | null
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
  private connection: ScpiConnection | null = null
  private current: LiveLink
  private polled: LivePoll | null = null

  constructor(
    readonly config: InstrumentConfig,
    private readonly listener: LinkListener,
    private readonly targets: Targets,
  ) {
    this.current = this.describe('connecting', null, null)
    void this.run()
  }

  get link(): LiveLink {
    return this.current
  }

  /** What came in last; null = nothing yet. */
  get latest(): LivePoll | null {
    return this.polled
  }

  /** What is set now [SI]. @throws {CoreError} unknown-item, malformed-answer @throws {ScpiError} */
  async tell(name: SettingName): Promise<number> {
    const setting = this.setting(name)
    const answer = scpiNumber((await this.connected().query(setting.query, ANSWER_WITHIN_MS)).text)
    if (answer.value === null)
      throw new CoreError('malformed-answer', message('gateway.noSetting', { name: this.config.name }))
    return answer.value * setting.toSi
  }

  /**
   * Sets and reads back.
   * @returns what is set then [SI]
   * @throws {CoreError} unknown-item, out-of-range
   * @throws {ScpiError}
   */
  async set(name: SettingName, value: number): Promise<number> {
    const setting = this.setting(name)
    if (!(value >= setting.min && value <= setting.max))
      throw new CoreError(
        'out-of-range',
        message('gateway.outside', { name: this.config.name, value, min: setting.min, max: setting.max }),
      )
    const connection = this.connected()
    await connection.send(setting.command.replace('{value}', String(value / setting.toSi)))
    const { text: error } = await connection.query('SYST:ERR?', ANSWER_WITHIN_MS)
    if (!NO_ERROR.test(error))
      throw new CoreError(
        'out-of-range',
        message('gateway.rejected', { name: this.config.name, error: error.slice(0, 200) }),
      )
    return this.tell(name)
  }

  /** A line as it is typed; a question is waited for. Errors that the instrument queued are told with it. */
  async ask(text: string): Promise<InstrumentAnswer> {
    const connection = this.connected()
    const startedMs = performance.now()
    await connection.send('*CLS')
    const raw = text.includes('?')
      ? await connection.query(text, ANSWER_WITHIN_MS).then(
          a => a.text,
          () => null,
        )
      : (await connection.send(text), '')
    const tookMs = performance.now() - startedMs
    const errors: string[] = []
    for (let i = 0; raw !== null && i < MAX_ERRORS; i++) {
      const { text: error } = await connection.query('SYST:ERR?', ANSWER_WITHIN_MS)
      if (NO_ERROR.test(error)) break
      errors.push(error.slice(0, 200))
    }
    const block = raw === null ? null : blockOf(raw)
    return {
      raw: block ? `#\u2026 ${block.length} bytes` : (raw?.slice(0, 2000) ?? null),
      understood: block ? message('gateway.block', { count: block.length }) : understood(raw),
      trace: block && floatsOf(block),
      errors,
      tookMs,
    }
  }

  private setting(name: SettingName): ProfileSetting {
    const found = this.config.profile.settings?.find(s => s.name === name)
    if (!found)
      throw new CoreError(
        'unknown-item',
        message('gateway.cannotSet', { name: this.config.name, setting: name }),
      )
    return found
  }

  private connected(): ScpiConnection {
    if (!this.connection?.open)
      throw new ScpiError('closed', message('gateway.notConnected', { name: this.config.name }))
    return this.connection
  }

  stop(): void {
    this.stopper.abort()
    this.connection?.close()
  }

  private get stopped(): boolean {
    return this.stopper.signal.aborted
  }

  private async run(): Promise<void> {
    while (!this.stopped) {
      try {
        await this.talk()
      } catch (error) {
        if (!this.stopped) this.change('silent', saysOf(error))
      }
      this.connection?.close()
      this.connection = null
      await sleep(RETRY_AFTER_MS, undefined, { signal: this.stopper.signal }).catch(() => undefined)
    }
  }

  private async talk(): Promise<void> {
    const { endpoint } = this.config
    // The address that was looked at is the one connected to: a name may lead elsewhere a moment later.
    const host = isSerial(endpoint) ? endpoint.host : await this.targets.addressOf(endpoint)
    const connection = await ScpiConnection.open({ ...endpoint, host }, ANSWER_WITHIN_MS)
    this.connection = connection
    const identity = (await connection.query('*IDN?', ANSWER_WITHIN_MS)).text.slice(0, 200)
    await connection.send('*CLS')
    for (let round = 1; !this.stopped; round++) {
      const startedMs = performance.now()
      const { readings, receivedAtMs } = await pollInstrument(
        connection,
        this.config.profile,
        ANSWER_WITHIN_MS,
      )
      this.change('live', null, identity)
      this.polled = { instrumentId: this.config.id, instrument: this.config.name, readings, receivedAtMs }
      this.listener.poll(this.polled)
      if (round % ASK_ERRORS_EVERY === 0) await this.askErrors(connection)
      const restMs = POLL_EVERY_MS - (performance.now() - startedMs)
      if (restMs > 0) await sleep(restMs, undefined, { signal: this.stopper.signal })
    }
  }

  private async askErrors(connection: ScpiConnection): Promise<void> {
    const { text: answer } = await connection.query('SYST:ERR?', ANSWER_WITHIN_MS)
    if (!NO_ERROR.test(answer)) this.listener.remark(this.config, answer.slice(0, 200))
  }

  /** Reports a change once; the time stays that of the first failure while it keeps failing. */
  private change(
    state: LinkState,
    detail: Message | null,
    identity: string | null = this.current.identity,
  ): void {
    if (this.current.state === state) return
    this.current = this.describe(state, detail, identity)
    this.listener.link(this.current)
  }

  private describe(state: LinkState, detail: Message | null, identity: string | null): LiveLink {
    const { id, name, profile, setup, ownProfile = null } = this.config
    return {
      instrumentId: id,
      instrument: name,
      profileId: profile.id,
      ownProfile,
      setup,
      state,
      sinceMs: Date.now(),
      detail,
      identity,
    }
  }
}

/** The bytes of a definite-length block; null = it is none. */
function blockOf(raw: string): Buffer | null {
  const head = blockHead(raw)
  return head === null || head === 'none' ? null : Buffer.from(raw.slice(head.from), 'latin1')
}

const MAX_TRACE = 4096

/** Numbers of a block of 32-bit floats, least significant byte first; null = it cannot be that. */
function floatsOf(block: Buffer): number[] | null {
  if (block.length === 0 || block.length % 4 !== 0 || block.length / 4 > MAX_TRACE) return null
  const values = Array.from(new Float32Array(Uint8Array.from(block).buffer))
  return values.every(Number.isFinite) ? values : null
}
