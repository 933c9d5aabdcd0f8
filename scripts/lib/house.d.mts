export function startHouse(options: {
  folder: string
  demo: boolean
  throwAway?: boolean
  archive?: string | null
  preferredPort?: number
  settings?: Record<string, string>
  onDeath?: (name: string, code: unknown, reason?: string) => void
}): Promise<{
  address: string
  env: Record<string, string>
  cluster: {
    adminUrl: string
    port: number
    stop: () => Promise<void>
    halt: () => Promise<unknown>
    startAgain: () => Promise<void>
  } | null
  children: { list: readonly { name: string; child: { pid?: number } }[] }
  stop: () => Promise<void>
}>
