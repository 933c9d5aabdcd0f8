/** Benches of the shop; the shelf is what lies on none. */
export const BENCHES = [1, 2] as const
