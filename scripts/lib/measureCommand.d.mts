export function buildMeasure(): Promise<void>
