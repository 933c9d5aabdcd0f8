import { accessSync, constants } from 'node:fs'
import { hostname, networkInterfaces } from 'node:os'
import { join } from 'node:path'
import { fingerprint, workshopCertificate } from './certificate.mjs'
import { freePort } from './ports.mjs'

/** Where the web server listens: this machine only, unless told otherwise. */
export const listensOn = () => process.env.HOST ?? '127.0.0.1'

const isThisMachine = host => host === 'localhost' || host === '::1' || /^127(\.\d{1,3}){3}$/.test(host)

/** The one address by which this machine opens its own pages. */
export function ownAddress(port) {
  const host = isThisMachine(listensOn()) ? listensOn() : '127.0.0.1'
  return `http://${host === '::1' ? '[::1]' : host}:${port}`
}

/**
 * A workshop without sign-in is for whoever sits at this machine.
 * @throws {Error} in words: it would listen beyond this machine, and anybody there would be let in
 */
export async function refuseStrangers(databaseUrl) {
  if (isThisMachine(listensOn())) return
  const { default: pg } = await import('pg')
  const client = new pg.Client({ connectionString: databaseUrl })
  await client.connect()
  try {
    const { rows } = await client.query('select sign_in from workshop')
    if (rows[0]?.sign_in) return
  } finally {
    await client.end()
  }
  throw new Error(
    `With HOST=${listensOn()} anybody on the network would be let in, since nobody signs in here. ` +
      'Start without HOST, bring in sign-in on the page People, then start again.',
  )
}

/** Port of the way in for other machines, with a certificate. */
const TLS_PORT = 3443

/**
 * How other machines get in: not at all, with a certificate of one's own or of the workshop, or plain, where
 * a proxy of one's own stands in front (`DIAPASON_TLS=off`).
 * @param folder of the workshop's data
 * @returns settings of the web server; addresses for others, with the fingerprint of what they have to trust
 */
export async function wayInForOthers(folder) {
  const host = listensOn()
  if (isThisMachine(host)) return { web: { HOST: host }, addresses: [] }
  if (process.env.DIAPASON_TLS === 'off') return { web: { HOST: host, BEHIND_PROXY: '1' }, addresses: [] }
  const names = namesOf(host)
  const { authority, ...files } = ownCertificate() ?? (await ofWorkshop(join(folder, 'tls'), names))
  const port = await freePort(Number(process.env.DIAPASON_TLS_PORT ?? TLS_PORT), 'DIAPASON_TLS_PORT')
  const addresses = names.filter(name => !isThisMachine(name)).map(name => addressOf(name, port))
  return {
    addresses,
    web: {
      HOST: '127.0.0.1',
      TLS_HOST: host,
      TLS_PORT: String(port),
      TLS_CERT: files.cert,
      TLS_KEY: files.key,
      OTHERS_ADDRESSES: addresses.join(' '),
      ...(authority ? { TLS_AUTHORITY: authority, TLS_FINGERPRINT: fingerprint(authority) } : {}),
    },
  }
}

/** @throws {Error} in words: what lies in the folder cannot be read as what it was */
async function ofWorkshop(folder, names) {
  try {
    return await workshopCertificate(folder, names)
  } catch (error) {
    throw new Error(
      `The workshop's certificate in ${folder} cannot be used (${error.message}). Nothing was changed. ` +
        'Bring its files back from a backup, or move that folder away: a new one is made, and tablets trust it anew.',
    )
  }
}

/** @throws {Error} in words: one of the two files is not named, or cannot be read */
function ownCertificate() {
  const { DIAPASON_CERT: cert = '', DIAPASON_KEY: key = '' } = process.env
  if (!cert && !key) return null
  for (const path of [cert, key]) {
    if (!path) throw new Error('A certificate of your own is two files: DIAPASON_CERT and DIAPASON_KEY.')
    accessSync(path, constants.R_OK)
  }
  return { cert, key, authority: null }
}

const addressOf = (name, port) => `https://${name.includes(':') ? `[${name}]` : name}:${port}`

/** Addresses first: a tablet finds a machine by its name only where the network knows names. */
function namesOf(host) {
  const every = Object.values(networkInterfaces()).flatMap(list => list ?? [])
  // Link-local addresses of IPv6 need the name of an interface behind them.
  const usable = every.filter(i => !i.internal && !/^fe80:/i.test(i.address)).map(i => i.address)
  const bound = ['0.0.0.0', '::'].includes(host) ? usable : [host]
  const told = (process.env.DIAPASON_HOSTS ?? '').split(/[\s,]+/).filter(Boolean)
  const own = hostname().toLowerCase()
  return [...new Set([...bound, ...told, own, `${own}.local`, 'localhost', '127.0.0.1', '::1'])]
}
