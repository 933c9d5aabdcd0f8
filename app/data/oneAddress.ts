/** Whether a page of this host is reached on its own machine only. */
export const isThisMachine = (hostname: string) =>
  hostname === 'localhost' || hostname === '[::1]' || /^127(\.\d{1,3}){3}$/.test(hostname)

/**
 * The same page by the name that the server goes by, where it was opened by another name of the same machine.
 * @param own null = the server names none
 * @returns null = it is at the right address, or at one that is none of our business
 */
export function sameByOwnName(href: string, own: string | null): string | null {
  if (own === null) return null
  const [here, there] = [new URL(href), new URL(own)]
  const isOther =
    here.hostname !== there.hostname && isThisMachine(here.hostname) && isThisMachine(there.hostname)
  if (!isOther || here.port !== there.port || here.protocol !== there.protocol) return null
  here.hostname = there.hostname
  return here.href
}
