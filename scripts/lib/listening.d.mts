/** Throws in words where anybody on the network would be let in. */
export function refuseStrangers(databaseUrl: string): Promise<void>
export function listensOn(): string
export function ownAddress(port: number): string
/** Throws in words where a certificate cannot be read or the port is taken. */
export function wayInForOthers(folder: string): Promise<{ web: Record<string, string>; addresses: string[] }>
