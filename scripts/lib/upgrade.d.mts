export function upgradeCluster(
  folder: string,
  options?: { from?: string },
): Promise<{ from: string; to: string; aside: string; tables: Record<string, { rows: number }> } | null>
export function removeOld(folder: string): string[]
