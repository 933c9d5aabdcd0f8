/**
 * Whether a received header is one that an instrument knows, in its short or long form.
 *
 * @param known as the manual writes it: capitals are the short form, e.g. "MEASure:POWer:AVERage?"; a part in
 * brackets may be left out
 * @param received as sent, any case, a colon in front or not
 * Source: SCPI-99 vol. 1, 6.2.1: exactly the short or the long form of each mnemonic (from memory).
 * @example sameHeader('MEASure:POWer?', 'meas:power?') // => true; 'measu:pow?' // => false
 */
export function sameHeader(known: string, received: string): boolean {
  const expected = mnemonics(known)
  const got = received.replace(/^:/, '').toUpperCase().split(':')
  let k = 0
  for (const { text, optional } of expected) {
    if (k < got.length && sameMnemonic(text, got[k]!)) k++
    else if (!optional) return false
  }
  return k === got.length
}

function mnemonics(known: string): { readonly text: string; readonly optional: boolean }[] {
  return [...known.matchAll(/\[:?([^\]]+)\]|[^:[\]]+/g)].map(([whole, optional]) => ({
    text: optional ?? whole,
    optional: optional !== undefined,
  }))
}

function sameMnemonic(known: string, got: string): boolean {
  return got === known.toUpperCase() || got === known.replace(/[a-z]/g, '')
}
