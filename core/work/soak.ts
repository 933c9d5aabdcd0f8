import type { JobEvent, SoakBegun, SoakEnded } from '../run'

const MS_PER_HOUR = 3_600_000

export interface Soak {
  readonly begun: SoakBegun
  readonly ended: SoakEnded | null
  readonly endsAtMs: number
}

/** Every soak with when it is due. */
export function soaks(events: readonly JobEvent[]): Soak[] {
  return events.flatMap(e =>
    e.kind === 'soak-begun'
      ? [
          {
            begun: e,
            ended: (events.find(a => a.kind === 'soak-ended' && a.soakId === e.id) ??
              null) as SoakEnded | null,
            endsAtMs: e.atMs + e.hours * MS_PER_HOUR,
          },
        ]
      : [],
  )
}

/** The soak that runs, or null. */
export function runningSoak(events: readonly JobEvent[]): Soak | null {
  return soaks(events).find(s => s.ended === null) ?? null
}
