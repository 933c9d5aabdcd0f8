export function faultCampaign(options: {
  faults: number
  seed: number
  technicians?: number
  nextMs?: number
  say?: (words: string) => void
}): Promise<{
  faults: Record<string, number>
  acknowledged: number
  sentAgain: number
  longestWaitMs: number
  wrong: string[]
}>
