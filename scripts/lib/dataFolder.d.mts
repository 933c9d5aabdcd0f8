export function dataFolder(
  demo: boolean,
  from?: { env?: Readonly<Record<string, string | undefined>>; root?: string },
): string
export function markFolder(folder: string, demo: boolean): void
