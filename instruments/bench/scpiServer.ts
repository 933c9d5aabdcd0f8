import { createServer, type Server, type Socket } from 'node:net'

/** What a simulated instrument answers; undefined = it does not know the header. */
export type ScpiHandler = (header: string) => string | undefined

const MAX_LINE = 4096
const UNDEFINED_HEADER = '-113,"Undefined header"'
const NO_ERROR = '0,"No error"'

/** A SCPI server on loopback: IEEE 488.2 basics, an error queue per connection, compound commands with ";". */
export class ScpiServer {
  private readonly sockets = new Set<Socket>()
  private server: Server | null = null

  constructor(private readonly identity: string, private readonly handle: ScpiHandler, private port: number) {}

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
    const errors: string[] = []
    let rest = ''
    socket.on('data', (chunk) => {
      rest += chunk.toString('latin1')
      if (rest.length > MAX_LINE) rest = ''
      for (let end = rest.indexOf('\n'); end >= 0; end = rest.indexOf('\n')) {
        const answers = this.answer(rest.slice(0, end).trim(), errors)
        rest = rest.slice(end + 1)
        if (answers.length > 0) socket.write(`${answers.join(';')}\n`)
      }
    })
    socket.on('close', () => this.sockets.delete(socket))
    socket.on('error', () => this.sockets.delete(socket))
  }

  private answer(line: string, errors: string[]): string[] {
    return line.split(';').map(part => part.trim().replace(/^:/, '').toUpperCase()).filter(Boolean).flatMap((header) => {
      switch (header) {
        case '*IDN?': return [this.identity]
        case '*OPC?': return ['1']
        case '*RST': return []
        case '*CLS': errors.length = 0; return []
        case 'SYST:ERR?':
        case 'SYSTEM:ERROR?': return [errors.shift() ?? NO_ERROR]
      }
      const answer = this.handle(header)
      if (answer === undefined) errors.push(UNDEFINED_HEADER)
      return answer === undefined || answer === '' ? [] : [answer]
    })
  }
}
