export function descendantsOf(parent: number): number[]
