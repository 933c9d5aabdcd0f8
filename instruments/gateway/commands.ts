import { message } from '#core/message'
import type { IncomingMessage, ServerResponse } from 'node:http'
import { ValidationError } from 'yup'
import { CoreError } from '#core/errors'
import { askBody, setBody, steppedBody } from '#shared/instrumentCommands'
import { ScpiError } from '../scpi/scpiConnection'
import type { InstrumentLink } from './instrumentLink'
import { saysOf } from './instrumentSays'
import { SteppedRun } from './steppedRun'

const MAX_BODY = 8192

/** What is told to instruments on purpose, beside the polling: set, ask, step. Loopback only. */
export class GatewayCommands {
  private stepped: SteppedRun | null = null

  constructor(private readonly link: (id: string) => InstrumentLink | undefined) {}

  /** @returns whether the request was one of these */
  handle(request: IncomingMessage, response: ServerResponse): boolean {
    const work = this.route(request)
    if (!work) return false
    work.then(
      body => send(response, 200, body),
      (error: unknown) => send(response, statusOf(error), { says: saysOf(error) }),
    )
    return true
  }

  stop(): void {
    this.stepped?.cancel()
  }

  private route(request: IncomingMessage): Promise<unknown> | null {
    const { method, url } = request
    if (method === 'GET' && url === '/stepped') return Promise.resolve(this.stepped?.view() ?? null)
    if (method !== 'POST') return null
    if (url === '/set')
      return this.body(request).then(async b => this.set(await setBody.validate(b, { strict: true })))
    if (url === '/ask')
      return this.body(request).then(async b => this.ask(await askBody.validate(b, { strict: true })))
    if (url === '/stepped')
      return this.body(request).then(async b => this.begin(await steppedBody.validate(b, { strict: true })))
    if (url === '/stepped/cancel')
      return Promise.resolve(this.stepped?.cancel()).then(() => this.stepped?.view() ?? null)
    return null
  }

  private require(id: string): InstrumentLink {
    const link = this.link(id)
    if (!link) throw new CoreError('unknown-item', message('gateway.thisNotConnected'))
    return link
  }

  private async set({
    instrumentId,
    name,
    value,
  }: {
    instrumentId: string
    name: Parameters<InstrumentLink['set']>[0]
    value: number
  }) {
    return { value: await this.require(instrumentId).set(name, value) }
  }

  private async ask({ instrumentId, text }: { instrumentId: string; text: string }) {
    return this.require(instrumentId).ask(text)
  }

  private begin(
    wanted: Parameters<(typeof steppedBody)['cast']>[0] & {
      setInstrumentId: string
      readInstrumentId: string
    },
  ) {
    this.stepped?.cancel()
    this.stepped = new SteppedRun(
      steppedBody.cast(wanted),
      this.require(wanted.setInstrumentId),
      this.require(wanted.readInstrumentId),
    )
    return this.stepped.view()
  }

  private async body(request: IncomingMessage): Promise<unknown> {
    let text = ''
    for await (const chunk of request) {
      text += String(chunk)
      if (text.length > MAX_BODY) throw new SyntaxError('body too large')
    }
    return JSON.parse(text || '{}')
  }
}

function statusOf(error: unknown): number {
  if (error instanceof ValidationError || error instanceof SyntaxError) return 400
  if (error instanceof CoreError) return error.code === 'unknown-item' ? 404 : 422
  return error instanceof ScpiError ? 504 : 500
}

function send(response: ServerResponse, status: number, body: unknown): void {
  response.writeHead(status, { 'content-type': 'application/json' }).end(JSON.stringify(body))
}
