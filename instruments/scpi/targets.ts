import { message } from '#core/message'
import { lookup } from 'node:dns/promises'
import { BlockList, isIP } from 'node:net'
import { networkInterfaces } from 'node:os'
import { ScpiError } from './scpiConnection'

/**
 * Where instruments stand on a usual bench: private networks (RFC 1918, RFC 4193). Not the machine itself,
 * whose other services are none of theirs, and not 169.254.0.0/16, where rented machines keep their secrets.
 */
const USUAL = '10.0.0.0/8 172.16.0.0/12 192.168.0.0/16 fc00::/7'
const THIS_MACHINE = '127.0.0.0/8 ::1/128 0.0.0.0/8 ::/128'
const ENTRY = /^(?<host>[0-9.]+|\[[0-9a-fA-F:.]+\]|[0-9a-fA-F:]+)(?:\/(?<prefix>\d{1,3})|(?<port>:\d{1,5}))?$/

/** Which addresses the gateway connects to. */
export interface Targets {
  /** The address of a host, when it is one of these. @throws {ScpiError} not-allowed, not-reachable */
  addressOf: (endpoint: { host: string; port: number }) => Promise<string>
}

/**
 * @param listed networks (192.168.4.0/24), and machines (127.0.0.1) or single services ([::1]:5025); between
 * them spaces or commas. This machine itself only where it is named, not as part of a network. '' = as usual
 * @param simulated services of the simulated bench, in the same form
 * @throws {Error} what of the list is no address
 */
export function targetsOf(listed: string, simulated = ''): Targets {
  const entries = [...parsed(listed.trim() || USUAL), ...parsed(simulated)]
  const networks = listOf(entries.filter(e => e.prefix !== null))
  const here = listOf(parsed(THIS_MACHINE))
  for (const { address } of Object.values(networkInterfaces()).flatMap(i => i ?? []))
    here.addAddress(address, familyOf(address))
  const isNamed = (address: string, port: number) =>
    entries.some(
      e =>
        e.prefix === null &&
        (e.port === null || e.port === port) &&
        listOf([e]).check(address, familyOf(address)),
    )
  const isAllowed = (address: string, port: number) =>
    isNamed(address, port) ||
    (networks.check(address, familyOf(address)) && !here.check(address, familyOf(address)))
  return {
    async addressOf({ host, port }) {
      const address = isIP(host) ? host : await resolved(host)
      if (isAllowed(address, port)) return address
      throw new ScpiError('not-allowed', message('gateway.targetNotAllowed', { address, port }))
    },
  }
}

interface Entry {
  readonly address: string
  readonly prefix: number | null
  readonly port: number | null
}

function parsed(list: string): Entry[] {
  return list
    .split(/[\s,]+/)
    .filter(Boolean)
    .map(text => {
      const { host = '', prefix, port } = ENTRY.exec(text)?.groups ?? {}
      const address = host.replace(/^\[|\]$/g, '')
      const entry = {
        address,
        prefix: prefix === undefined ? null : Number(prefix),
        port: port === undefined ? null : Number(port.slice(1)),
      }
      if (isIP(address) === 0 || (entry.prefix ?? 0) > (isIP(address) === 4 ? 32 : 128))
        throw new Error(
          `DIAPASON_INSTRUMENT_NETWORKS: ${text} is no network, machine or service that instruments can be at`,
        )
      return entry
    })
}

function listOf(entries: readonly Entry[]): BlockList {
  const list = new BlockList()
  for (const { address, prefix } of entries) {
    if (prefix === null) list.addAddress(address, familyOf(address))
    else list.addSubnet(address, prefix, familyOf(address))
  }
  return list
}

const familyOf = (address: string) => (isIP(address) === 6 ? 'ipv6' : 'ipv4')

async function resolved(host: string): Promise<string> {
  try {
    return (await lookup(host)).address
  } catch (error) {
    throw new ScpiError('not-reachable', message('gateway.unforeseen', { what: (error as Error).message }))
  }
}
