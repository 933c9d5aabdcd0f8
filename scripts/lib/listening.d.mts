/** Throws in words where anybody on the network would be let in. */
export function refuseStrangers(databaseUrl: string): Promise<void>
export function listensOn(): string
