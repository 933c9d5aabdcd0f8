export function seeded(seed: number): () => number
