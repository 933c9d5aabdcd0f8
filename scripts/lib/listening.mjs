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
