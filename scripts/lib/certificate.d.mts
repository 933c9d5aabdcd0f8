export function workshopCertificate(
  folder: string,
  names: readonly string[],
  now?: number,
): Promise<{ cert: string; key: string; authority: string }>
export function fingerprint(path: string): string
