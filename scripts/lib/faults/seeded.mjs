/** A generator of numbers from 0 to 1 that gives the same ones for the same seed (mulberry32). */
export function seeded(seed) {
  let state = seed >>> 0
  return () => {
    state = (state + 0x6d2b79f5) >>> 0
    let t = state
    t = Math.imul(t ^ (t >>> 15), t | 1)
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61)
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32
  }
}

/** An id of version 4 out of such numbers. */
export function uuidOf(random) {
  const digits = n => Array.from({ length: n }, () => Math.floor(random() * 16).toString(16)).join('')
  return `${digits(8)}-${digits(4)}-4${digits(3)}-8${digits(3)}-${digits(12)}`
}
