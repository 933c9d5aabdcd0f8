import { randomUUID } from 'node:crypto'
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { startHouse } from '../../scripts/lib/house.mjs'
import type { WireError } from '../../shared/errors'

/** A whole house of its own for one test file: throw-away cluster, gateway, simulated bench, built server. */
export interface TestHouse {
  readonly address: string
  readonly env: Record<string, string>
  readonly cluster: {
    adminUrl: string
    port: number
    halt: () => Promise<unknown>
    startAgain: () => Promise<void>
  }
  request: (
    method: string,
    path: string,
    body?: unknown,
  ) => Promise<{ status: number; body: unknown; error: WireError | null }>
  newJob: (change?: object) => Promise<string>
  /** What the web server has worked since it was started [ms of processor time]. */
  workedMs: () => number
  stop: () => Promise<void>
}

export const INTAKE = {
  owner: 'Barge Heron',
  contact: '',
  sheetId: 'osmund-27f',
  ruleSetId: 'R-UK27',
  serial: '41877',
  complaint: 'under 3 W',
  claims: [],
  accessories: '',
  mayDo: '',
  ownerLanguage: '' as const,
  promisedOn: null,
}

/**
 * @param setUp false = the first start is still to come; true = without sign-in
 * @param requestS how long a request may take to arrive
 * @param networks where instruments may be; what a test puts up in the place of one is on this machine
 */
export async function testHouse({
  demo = true,
  setUp = true,
  networks = '127.0.0.1',
  requestS = 120,
} = {}): Promise<TestHouse> {
  const folder = mkdtempSync(join(tmpdir(), 'diapason-test-'))
  const settings = { DIAPASON_INSTRUMENT_NETWORKS: networks, DIAPASON_REQUEST_S: String(requestS) }
  const house = await startHouse({ folder, demo, throwAway: true, settings })
  const request: TestHouse['request'] = async (method, path, body) => {
    const raw = typeof body === 'string'
    const response = await fetch(house.address + path, {
      method,
      ...(body === undefined
        ? {}
        : { body: raw ? body : JSON.stringify(body), headers: { 'content-type': 'application/json' } }),
    })
    const text = await response.text()
    const json =
      response.headers.get('content-type')?.includes('json') && text
        ? (JSON.parse(text) as { data?: WireError })
        : text
    return {
      status: response.status,
      body: json,
      error: response.ok ? null : ((json as { data?: WireError }).data ?? null),
    }
  }
  if (!demo && setUp) await request('POST', '/api/workshop', { workshop: 'Weirside Bench', owner: null })
  return {
    address: house.address,
    env: house.env as Record<string, string>,
    cluster: house.cluster!,
    request,
    newJob: async (change = {}) => {
      const id = randomUUID()
      const { status } = await request('POST', '/api/jobs', { ...INTAKE, ...change, id })
      if (status !== 201) throw new Error(`job not made: ${status}`)
      return id
    },
    workedMs: () => workedMs(house.children.list.find(c => c.name === 'web')!.child.pid!),
    stop: async () => {
      await house.stop()
      rmSync(folder, { recursive: true, force: true })
    },
  }
}

/** Processor time of a process by the kernel's own count, which is in hundredths of a second: proc(5). */
function workedMs(pid: number): number {
  const afterName = readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ')[1]!.split(' ')
  return (Number(afterName[11]) + Number(afterName[12])) * 10
}
