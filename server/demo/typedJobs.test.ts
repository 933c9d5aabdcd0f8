import { describe, expect, it } from 'vitest'
import { randomUUID } from 'node:crypto'
import { modelSheet } from '#core/sheet'
import { jobEventBody } from '#shared/jobEvents'
import { amJobEvents } from './amJob'
import { multimodeJobEvents } from './multimodeJob'

/** They go into the database as they are: what the server would refuse breaks a backup and an archive. */
describe('typed jobs of the demo', () => {
  it.each([
    ['the AM mobile', amJobEvents(modelSheet('osmund-40a'), 1)],
    ['the multimode', multimodeJobEvents(modelSheet('larkfield-lx8'), 1)],
  ] as const)('%s has only entries that the server would take', async (_set, events) => {
    expect(events.length).toBeGreaterThan(10)
    for (const event of events)
      await expect(
        jobEventBody.validate({ id: randomUUID(), ...event }, { strict: true }),
      ).resolves.toBeTruthy()
  })
})
