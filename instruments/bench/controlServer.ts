import { createServer, type IncomingMessage, type Server, type ServerResponse } from 'node:http'
import { ValidationError } from 'yup'
import { CoreError } from '../../core/errors'
import { practiceChange } from '../../shared/practice'
import type { SimulatedBench } from './simulatedBench'

const MAX_BODY = 16_384

/** The hands on the simulated set: GET /state, POST /change. Loopback only. */
export function controlServer(bench: SimulatedBench): Server {
  return createServer((request, response) => {
    route(bench, request).then(
      body => send(response, 200, body),
      (error: unknown) => send(response, error instanceof CoreError || error instanceof ValidationError || error instanceof SyntaxError ? 400 : 500, { message: error instanceof Error ? error.message : String(error) }),
    )
  })
}

async function route(bench: SimulatedBench, request: IncomingMessage): Promise<unknown> {
  if (request.method === 'GET') return bench.view()
  let text = ''
  for await (const chunk of request) {
    text += String(chunk)
    if (text.length > MAX_BODY) throw new SyntaxError('body too large')
  }
  return bench.change(await practiceChange.validate(JSON.parse(text || '{}'), { strict: true }))
}

function send(response: ServerResponse, status: number, body: unknown): void {
  response.writeHead(status, { 'content-type': 'application/json' }).end(JSON.stringify(body))
}
