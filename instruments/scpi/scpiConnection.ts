import { message, type Message } from '#core/message'
import { connect } from 'node:net'
import type { Duplex } from 'node:stream'
import { blockHead } from '#core/scpi'

export type ScpiFailure =
  'not-allowed' | 'not-reachable' | 'timeout' | 'closed' | 'line-too-long' | 'not-a-block'

export class ScpiError extends Error {
  constructor(
    readonly code: ScpiFailure,
    readonly says: Message,
  ) {
    super(`${code}: ${says.code} ${JSON.stringify(says.values)}`)
    this.name = 'ScpiError'
  }
}

/** A TCP address, or "serial:/dev/ttyUSB0" with the speed in the place of the port. */
export interface ScpiEndpoint {
  readonly host: string
  readonly port: number
}

const SERIAL = 'serial:'

export const isSerial = ({ host }: ScpiEndpoint) => host.startsWith(SERIAL)

/** An answer and when its last byte came in. */
export interface ScpiAnswer {
  readonly text: string
  readonly receivedAtMs: number
}

/** Longest answer accepted; an instrument that babbles must not fill the memory. */
const MAX_LINE_BYTES = 65_536

interface Waiting {
  kind: 'line' | 'block'
  resolve: (a: ScpiAnswer) => void
  reject: (e: Error) => void
  timer: NodeJS.Timeout
}

/**
 * A raw connection, TCP or serial, to one SCPI instrument: one query at a time, each with its time limit.
 *
 * A query that ran out of time closes the connection: a late answer would be taken for the answer to the next
 * question.
 */
export class ScpiConnection {
  private rest = ''
  private waiting: Waiting | null = null
  private last: Promise<unknown> = Promise.resolve()
  private failure: ScpiError | null = null

  private constructor(private readonly socket: Duplex) {
    socket.on('data', (chunk: Buffer) => this.take(chunk.toString('latin1')))
    socket.on('close', () => this.fail(new ScpiError('closed', message('gateway.closed'))))
    socket.on('error', error =>
      this.fail(new ScpiError('closed', message('gateway.unforeseen', { what: error.message }))),
    )
  }

  /** @throws {ScpiError} not-reachable, timeout */
  static open(endpoint: ScpiEndpoint, timeoutMs: number): Promise<ScpiConnection> {
    if (isSerial(endpoint))
      return ScpiConnection.openSerial(endpoint.host.slice(SERIAL.length), endpoint.port)
    return new Promise((resolve, reject) => {
      const socket = connect(endpoint)
      const timer = setTimeout(
        () => end(new ScpiError('timeout', message('gateway.noConnection', { timeoutMs }))),
        timeoutMs,
      )
      const end = (error: ScpiError) => {
        clearTimeout(timer)
        socket.destroy()
        reject(error)
      }
      socket.once('error', error =>
        end(new ScpiError('not-reachable', message('gateway.unforeseen', { what: error.message }))),
      )
      socket.once('connect', () => {
        clearTimeout(timer)
        socket.removeAllListeners('error')
        socket.setNoDelay(true)
        resolve(new ScpiConnection(socket))
      })
    })
  }

  /** A serial port; its driver is loaded only where one is used. @throws {ScpiError} not-reachable */
  private static async openSerial(path: string, baudRate: number): Promise<ScpiConnection> {
    const { SerialPort } = await import('serialport')
    return new Promise((resolve, reject) => {
      const port = new SerialPort({ path, baudRate }, error =>
        error
          ? reject(new ScpiError('not-reachable', message('gateway.unforeseen', { what: error.message })))
          : resolve(new ScpiConnection(port)),
      )
    })
  }

  get open(): boolean {
    return this.failure === null
  }

  /** A command without an answer. @throws {ScpiError} closed */
  send(command: string): Promise<void> {
    return this.inTurn(async () => {
      if (this.failure) throw this.failure
      this.socket.write(`${command}\n`)
    })
  }

  /** A question and its one-line answer. @throws {ScpiError} timeout, closed, line-too-long */
  query(question: string, timeoutMs: number): Promise<ScpiAnswer> {
    return this.ask('line', question, timeoutMs)
  }

  /**
   * A question that is answered by a definite-length block (IEEE 488.2).
   * @throws {ScpiError} timeout, closed, not-a-block
   */
  async queryBlock(question: string, timeoutMs: number): Promise<Buffer> {
    return Buffer.from((await this.ask('block', question, timeoutMs)).text, 'latin1')
  }

  private ask(kind: Waiting['kind'], question: string, timeoutMs: number): Promise<ScpiAnswer> {
    return this.inTurn(
      () =>
        new Promise<ScpiAnswer>((resolve, reject) => {
          if (this.failure) return reject(this.failure)
          const timer = setTimeout(
            () => this.fail(new ScpiError('timeout', message('gateway.noAnswer', { question, timeoutMs }))),
            timeoutMs,
          )
          this.waiting = { kind, resolve, reject, timer }
          this.socket.write(`${question}\n`)
        }),
    )
  }

  close(): void {
    this.fail(new ScpiError('closed', message('gateway.closedHere')))
  }

  private inTurn<T>(work: () => Promise<T>): Promise<T> {
    const turn = this.last.then(work, work)
    this.last = turn.catch(() => undefined)
    return turn
  }

  private take(chunk: string): void {
    this.rest += chunk
    if (this.waiting?.kind === 'block' || (this.waiting && blockHead(this.rest) !== 'none'))
      return this.takeBlock()
    if (this.rest.length > MAX_LINE_BYTES)
      return this.fail(
        new ScpiError('line-too-long', message('gateway.lineTooLong', { count: MAX_LINE_BYTES })),
      )
    const end = this.rest.indexOf('\n')
    if (end < 0) return
    const text = this.rest.slice(0, end).replace(/\r$/, '')
    this.rest = this.rest.slice(end + 1)
    const { waiting } = this
    if (!waiting) return // an answer that nobody asked for
    this.waiting = null
    clearTimeout(waiting.timer)
    waiting.resolve({ text, receivedAtMs: performance.timeOrigin + performance.now() })
  }

  /** Bytes of a block may be line ends: they are counted, not searched. */
  private takeBlock(): void {
    const head = blockHead(this.rest)
    if (head === 'none') return this.fail(new ScpiError('not-a-block', message('gateway.notABlock')))
    if (head === null || this.rest.length < head.from + head.length + 1) return
    const waiting = this.waiting!
    // Where a line was expected, a block is given with its head: whoever asked can tell.
    const text = this.rest.slice(waiting.kind === 'block' ? head.from : 0, head.from + head.length)
    this.rest = this.rest.slice(head.from + head.length).replace(/^\r?\n/, '')
    this.waiting = null
    clearTimeout(waiting.timer)
    waiting.resolve({ text, receivedAtMs: performance.timeOrigin + performance.now() })
  }

  private fail(error: ScpiError): void {
    if (!this.failure) this.failure = error
    this.socket.destroy()
    const { waiting } = this
    this.waiting = null
    if (!waiting) return
    clearTimeout(waiting.timer)
    waiting.reject(error)
  }
}
