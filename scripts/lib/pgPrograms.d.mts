export function binFor(data: string): string | null
