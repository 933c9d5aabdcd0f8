export function archiveFolder(env?: Record<string, string | undefined>): string | null
export function keepCopies(
  bin: string,
  data: string,
  archive: string,
  url: string,
  nowMs?: number,
): Promise<void>
