interface Backup {
  readonly name: string
  readonly atMs: number
}
export function backupFolder(
  folder: string,
  env?: Readonly<Record<string, string | undefined>>,
): string | null
export function isDue(lastAtMs: number | null, now?: Date): boolean
export function backupsIn(folder: string): Backup[]
export function outlived(backups: readonly Backup[]): string[]
export function nightlyBackup(folder: string, target: string, now?: Date): Promise<void>
