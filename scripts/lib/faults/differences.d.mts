export function differencesOf(
  acknowledged: readonly { id: string }[],
  stored: readonly { id: string }[],
): string[]
