const IPV4 = /^\d{1,3}(\.\d{1,3}){3}$/

/**
 * The name that passkeys of a page belong to. Browsers keep none for a bare address (W3C Web Authentication,
 * RP ID, a valid domain), nor for a page that came without encryption from another machine.
 * @param origin as a browser says it
 * @returns null = no passkey here
 */
export function namedHost(origin: string): string | null {
  if (!URL.canParse(origin)) return null
  const { hostname, protocol } = new URL(origin)
  if (hostname === '' || hostname.startsWith('[') || IPV4.test(hostname)) return null
  return protocol === 'https:' || hostname === 'localhost' ? hostname : null
}
