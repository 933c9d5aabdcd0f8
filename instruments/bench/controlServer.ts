import type { IncomingMessage, Server, ServerResponse } from 'node:http'
import { ValidationError } from 'yup'
import { CoreError } from '#core/errors'
import { benchSession, practiceChange } from '#shared/practice'
import { guardedServer } from '../guardedServer'
import type { SimulatedBench } from './simulatedBench'

const MAX_BODY = 16_384
const RECORDING = { rateHz: 250_000, seconds: 2 }

/** The hands on the simulated set: GET /state, /record, /recording; POST /change, /session. Loopback only. */
export function controlServer(bench: SimulatedBench, key = ''): Server {
  return guardedServer(key, (request, response) => {
    route(bench, request).then(
      body => (body instanceof Recorded ? body.send(response) : send(response, 200, body)),
      (error: unknown) =>
        send(
          response,
          error instanceof CoreError || error instanceof ValidationError || error instanceof SyntaxError
            ? 400
            : 500,
          {
            message: error instanceof Error ? error.message : String(error),
            says: error instanceof CoreError ? error.says : null,
            code: error instanceof CoreError ? error.code : 'invalid-field',
          },
        ),
    )
  })
}

/** I and Q interleaved as 32-bit floats; rate and centre in the head. */
class Recorded {
  constructor(private readonly made: ReturnType<SimulatedBench['recording']>) {}

  send(response: ServerResponse): void {
    const { i, q, rateHz, centreHz } = this.made
    const pairs = new Float32Array(2 * i.length)
    for (let k = 0; k < i.length; k++) {
      pairs[2 * k] = i[k]!
      pairs[2 * k + 1] = q[k]!
    }
    response
      .writeHead(200, {
        'content-type': 'application/octet-stream',
        'x-rate-hz': String(rateHz),
        'x-centre-hz': String(centreHz),
      })
      .end(Buffer.from(pairs.buffer))
  }
}

async function route(bench: SimulatedBench, request: IncomingMessage): Promise<unknown> {
  if (request.method === 'GET') {
    if (request.url === '/record') return bench.record()
    return request.url === '/recording'
      ? new Recorded(bench.recording(RECORDING.rateHz, RECORDING.seconds))
      : bench.view()
  }
  let text = ''
  for await (const chunk of request) {
    text += String(chunk)
    if (text.length > MAX_BODY) throw new SyntaxError('body too large')
  }
  const body: unknown = JSON.parse(text || '{}')
  return request.url === '/session'
    ? bench.begin(await benchSession.validate(body, { strict: true }))
    : bench.change(await practiceChange.validate(body, { strict: true }))
}

function send(response: ServerResponse, status: number, body: unknown): void {
  response.writeHead(status, { 'content-type': 'application/json' }).end(JSON.stringify(body))
}
