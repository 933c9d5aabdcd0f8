const NAMED = /^var\((--[\w-]+)\)$/

/**
 * A picture with its colours, which are named by it and known to the theme only when it is drawn.
 * @param token the colour of a name now
 */
export function coloured(value: unknown, token: (name: string) => string): unknown {
  if (typeof value === 'string') return value.replace(NAMED, (_all, name: string) => token(name))
  if (Array.isArray(value)) return value.map(v => coloured(v, token))
  // Numbers in typed arrays hold no colours.
  if (value === null || typeof value !== 'object' || ArrayBuffer.isView(value)) return value
  return Object.fromEntries(Object.entries(value).map(([key, v]) => [key, coloured(v, token)]))
}
