export function freePort(wanted?: number, setting?: string): Promise<number>
export function freePorts(count: number): Promise<number>
