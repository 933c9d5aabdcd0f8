import { createHash } from 'node:crypto'
import type { JobEvent } from '#core/run'

/**
 * Hash over an entry with everything in it, readings too. Independent of the order of fields, which a
 * database does not keep.
 */
export function eventDigest(event: JobEvent): Buffer {
  return createHash('sha256').update(inOrder(event)).digest()
}

/** Chain of an entry, as the database makes it when the entry is stored. */
export function chained(before: Buffer | null, digest: Buffer): Buffer {
  return createHash('sha256')
    .update(before ?? Buffer.alloc(0))
    .update(digest)
    .digest()
}

/** JSON with the fields of every object in order; what is undefined is not there. */
function inOrder(value: unknown): string {
  if (Array.isArray(value)) return `[${value.map(inOrder).join(',')}]`
  if (typeof value !== 'object' || value === null) return JSON.stringify(value ?? null)
  const fields = Object.entries(value)
    .filter(([, v]) => v !== undefined)
    .sort(([a], [b]) => (a < b ? -1 : 1))
  return `{${fields.map(([key, v]) => `${JSON.stringify(key)}:${inOrder(v)}`).join(',')}}`
}
