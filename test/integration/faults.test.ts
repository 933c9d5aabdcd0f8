import { describe, expect, it } from 'vitest'
import { faultCampaign } from '../../scripts/lib/faults/campaign.mjs'

describe('Twenty technicians, while everything beside them fails', () => {
  it('lose nothing that was acknowledged, and find nothing doubled, out of order or changed', async () => {
    const { faults, acknowledged, sentAgain, wrong } = await faultCampaign({ faults: 30, seed: 20261129 })
    expect(wrong).toEqual([])
    expect(Math.min(...Object.values(faults))).toBeGreaterThanOrEqual(3)
    // It did work, and the faults did bite.
    expect(acknowledged).toBeGreaterThan(1000)
    expect(sentAgain).toBeGreaterThan(50)
  }, 300_000)
})
