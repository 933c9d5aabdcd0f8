import type { IncomingMessage, Server, ServerResponse } from 'node:http'
import type { LiveHello, LiveLink, LivePoll } from '#shared/live'
import { guardedServer } from '../guardedServer'

/** A listener that does not read is let go before it fills the memory. */
const MAX_BACKLOG_BYTES = 1_000_000
/** Comment line that keeps idle streams open and shows dead ones. */
const HEARTBEAT_MS = 1000

/** Publishes polls and links to any number of listeners over Server-Sent Events on loopback. */
export class LiveServer {
  private readonly listeners = new Set<ServerResponse>()
  private readonly server: Server
  private readonly heartbeat: NodeJS.Timeout

  /**
   * @param command takes requests that are commands; false = it was none
   * @param key that every path begins with
   */
  constructor(
    private readonly links: () => readonly LiveLink[],
    command: (request: IncomingMessage, response: ServerResponse) => boolean,
    key: string,
  ) {
    this.server = guardedServer(key, (request, response) => {
      if (request.url === '/live') this.join(response)
      else if (command(request, response)) return
      else
        response
          .writeHead(request.url === '/health' ? 200 : 404, { 'content-type': 'application/json' })
          .end(JSON.stringify({ listeners: this.listeners.size }))
    })
    this.heartbeat = setInterval(() => this.write(': beat\n\n'), HEARTBEAT_MS)
  }

  /** @returns the port that was taken */
  listen(port: number): Promise<number> {
    return new Promise((resolve, reject) => {
      this.server.once('error', reject)
      this.server.listen(port, '127.0.0.1', () => {
        const address = this.server.address()
        resolve(typeof address === 'object' && address ? address.port : port)
      })
    })
  }

  poll(poll: LivePoll): void {
    this.publish('poll', poll)
  }

  link(link: LiveLink): void {
    this.publish('link', link)
  }

  /** Tells everybody the whole list again, after instruments were added or removed. */
  hello(): void {
    this.publish('hello', { links: this.links() } satisfies LiveHello)
  }

  async close(): Promise<void> {
    clearInterval(this.heartbeat)
    for (const listener of this.listeners) listener.end()
    this.server.closeAllConnections()
    await new Promise(resolve => this.server.close(resolve))
  }

  private join(response: ServerResponse): void {
    response.writeHead(200, {
      'content-type': 'text/event-stream',
      'cache-control': 'no-store',
      'x-accel-buffering': 'no',
    })
    response.write(frame('hello', { links: this.links() } satisfies LiveHello))
    this.listeners.add(response)
    response.on('close', () => this.listeners.delete(response))
    response.on('error', () => this.listeners.delete(response))
  }

  private publish(event: string, data: unknown): void {
    this.write(frame(event, data))
  }

  private write(text: string): void {
    for (const listener of this.listeners) {
      if (listener.writableLength > MAX_BACKLOG_BYTES) listener.destroy()
      else listener.write(text)
    }
  }
}

function frame(event: string, data: unknown): string {
  return `event: ${event}\ndata: ${JSON.stringify(data)}\n\n`
}
