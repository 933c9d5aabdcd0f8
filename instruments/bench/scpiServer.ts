import { createServer, type Server, type Socket } from 'node:net'
import {
  StatusRegisters,
  scpiCommands,
  scpiDecimal,
  writeBlockHead,
  type ScpiCommand,
  type ScpiErrorCode,
} from '#core/scpi'

/**
 * What a simulated instrument does with a command; null = it does not know the header. afterMs = the answer
 * takes that long.
 */
export type ScpiReply =
  | { readonly text: string }
  | { readonly block: Buffer; readonly afterMs: number }
  | { readonly error: ScpiErrorCode }
  | 'done'
  | null
export type ScpiHandler = (command: ScpiCommand) => ScpiReply

const MAX_LINE = 4096

/**
 * A SCPI server on loopback: IEEE 488.2 basics, error queue and status registers per connection, several
 * clients at once.
 */
export class ScpiServer {
  private readonly sockets = new Set<Socket>()
  private server: Server | null = null

  constructor(
    private readonly identity: string,
    private readonly handle: ScpiHandler,
    private port: number,
  ) {}

  /** @returns the port, which stays the same when the instrument is unplugged and back */
  plugIn(): Promise<number> {
    if (this.server) return Promise.resolve(this.port)
    const server = createServer(socket => this.serve(socket))
    this.server = server
    return new Promise((resolve, reject) => {
      server.once('error', reject)
      server.listen(this.port, '127.0.0.1', () => {
        const address = server.address()
        if (typeof address === 'object' && address) this.port = address.port
        resolve(this.port)
      })
    })
  }

  get pluggedIn(): boolean {
    return this.server !== null
  }

  async unplug(): Promise<void> {
    const { server } = this
    this.server = null
    for (const socket of this.sockets) socket.destroy()
    if (server) await new Promise(resolve => server.close(resolve))
  }

  private serve(socket: Socket): void {
    this.sockets.add(socket)
    socket.setNoDelay(true)
    const client = new InstrumentClient(this.identity, this.handle, bytes => socket.write(bytes))
    socket.on('data', chunk => client.take(chunk.toString('latin1')))
    socket.on('close', () => {
      client.end()
      this.sockets.delete(socket)
    })
    socket.on('error', () => this.sockets.delete(socket))
  }
}

/** One client: takes program messages, answers them in order. */
export class InstrumentClient {
  private readonly status = new StatusRegisters()
  private rest = ''
  private slow: NodeJS.Timeout | null = null

  constructor(
    private readonly identity: string,
    private readonly handle: ScpiHandler,
    private readonly write: (bytes: Buffer) => void,
  ) {}

  take(chunk: string): void {
    this.rest += chunk
    for (let end = this.rest.indexOf('\n'); end >= 0; end = this.rest.indexOf('\n')) {
      const line = this.rest.slice(0, end).trim()
      this.rest = this.rest.slice(end + 1)
      if (line.length > MAX_LINE) this.status.add('overrun')
      else if (line) this.message(line)
    }
    if (this.rest.length > MAX_LINE) {
      this.rest = ''
      this.status.add('overrun')
    }
  }

  end(): void {
    if (this.slow) clearTimeout(this.slow)
  }

  /** A new message before a slow answer is out drops that answer: query interrupted. */
  private message(line: string): void {
    if (this.slow) {
      clearTimeout(this.slow)
      this.slow = null
      this.status.add('interrupted')
    }
    const answers: (Buffer | string)[] = []
    let waitMs = 0
    for (const part of scpiCommands(line)) {
      const reply = part === 'syntax' ? { error: 'syntax' as const } : this.answer(part.readings)
      if (reply === null) this.status.add('undefined-header')
      else if (reply === 'done') continue
      else if ('error' in reply) this.status.add(reply.error)
      else if ('text' in reply) answers.push(reply.text)
      else {
        answers.push(Buffer.concat([Buffer.from(writeBlockHead(reply.block.length), 'latin1'), reply.block]))
        waitMs = Math.max(waitMs, reply.afterMs)
      }
    }
    if (answers.length > 0) this.send(joined(answers), waitMs)
  }

  private send(bytes: Buffer, waitMs: number): void {
    if (waitMs <= 0) return this.write(bytes)
    this.slow = setTimeout(() => {
      this.slow = null
      this.write(bytes)
    }, waitMs)
  }

  private answer(readings: readonly ScpiCommand[]): ScpiReply {
    for (const command of readings) {
      const reply = command.header.startsWith('*')
        ? this.common(command)
        : (this.system(command) ?? this.handle(command))
      if (reply !== null) return reply
    }
    return null
  }

  /** Common commands. Source: IEEE 488.2, 10 (from memory). */
  private common({ header, parameters }: ScpiCommand): ScpiReply {
    const { status } = this
    const mask = () => scpiDecimal(parameters[0] ?? '')
    switch (header.toUpperCase()) {
      case '*IDN?':
        return { text: this.identity }
      case '*OPC?':
        return { text: '1' }
      case '*OPC':
        status.complete()
        return 'done'
      case '*TST?':
        return { text: '0' }
      case '*WAI':
      case '*RST':
        return 'done'
      case '*CLS':
        status.clear()
        return 'done'
      case '*ESR?':
        return { text: String(status.takeEvents()) }
      case '*STB?':
        return { text: String(status.statusByte(false)) }
      case '*ESE?':
        return { text: String(status.masks.event) }
      case '*SRE?':
        return { text: String(status.masks.service) }
      case '*ESE':
      case '*SRE': {
        const value = mask()
        if (value === null) return { error: parameters.length === 0 ? 'missing-parameter' : 'numeric' }
        if (!(value >= 0 && value <= 255)) return { error: 'out-of-range' }
        status.masks = header.toUpperCase() === '*ESE' ? { event: value } : { service: value }
        return 'done'
      }
    }
    return null
  }

  private system({ header }: ScpiCommand): ScpiReply {
    if (/^SYST(EM)?:ERR(OR)?(:NEXT)?\?$/i.test(header)) return { text: this.status.next() }
    if (/^SYST(EM)?:ERR(OR)?:COUN(T)?\?$/i.test(header)) return { text: String(this.status.count) }
    if (/^SYST(EM)?:VERS(ION)?\?$/i.test(header)) return { text: '1999.0' }
    return null
  }
}

function joined(answers: readonly (Buffer | string)[]): Buffer {
  return Buffer.concat(
    answers
      .flatMap((a, i) => [
        ...(i > 0 ? [Buffer.from(';')] : []),
        typeof a === 'string' ? Buffer.from(a, 'latin1') : a,
      ])
      .concat(Buffer.from('\n')),
  )
}
