import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { JobEvent } from '../../core/run'
import { rowTaken } from '../fixtures/jobEvents'
import { testHouse, type TestHouse } from './house'

const house = {} as TestHouse
beforeAll(async () => void Object.assign(house, await testHouse({ demo: false })))
afterAll(() => house.stop())

/** What a screen hears, as it hears it. */
async function listen(jobId: string) {
  const stop = new AbortController()
  const response = await fetch(`${house.address}/api/jobs/${jobId}/live`, { signal: stop.signal })
  const heard: { event: string; data: { event?: JobEvent; position?: { stepId: string } } }[] = []
  void (async () => {
    let text = ''
    const decoder = new TextDecoder()
    for await (const chunk of response.body as unknown as AsyncIterable<Uint8Array>) {
      text += decoder.decode(chunk, { stream: true })
      for (let end = text.indexOf('\n\n'); end >= 0; end = text.indexOf('\n\n')) {
        const lines = text.slice(0, end).split('\n')
        text = text.slice(end + 2)
        const field = (name: string) =>
          lines.find(l => l.startsWith(`${name}: `))?.slice(name.length + 2) ?? ''
        heard.push({ event: field('event'), data: JSON.parse(field('data') || '{}') as object })
      }
    }
  })().catch(() => {})
  const until = async (what: (h: typeof heard) => boolean) => {
    for (let i = 0; i < 100 && !what(heard); i++) await new Promise(resolve => setTimeout(resolve, 50))
    return heard
  }
  await until(h => h.some(x => x.event === 'hello'))
  return { heard, until, stop: () => stop.abort(), status: response.status }
}

describe('a second screen of a run', () => {
  it('hears what is kept on its job, whole and once, and nothing of another', async () => {
    const [mine, other] = [await house.newJob(), await house.newJob()]
    const screen = await listen(mine)
    const row = rowTaken('as-found', null, 'high-20', { powerW: 3, supplyV: 13.8 })
    await house.request(
      'POST',
      `/api/jobs/${other}/events`,
      rowTaken('as-found', null, 'high-1', { powerW: 1 }),
    )
    await house.request('POST', `/api/jobs/${mine}/events`, row)
    await house.request('POST', `/api/jobs/${mine}/events`, row)
    const heard = (await screen.until(h => h.some(x => x.event === 'event'))).filter(h => h.event === 'event')
    await new Promise(resolve => setTimeout(resolve, 300))
    expect(heard.map(h => h.data.event)).toEqual([row])
    screen.stop()
  })
  it('is told how many entries there are: none is missed between the reading of a job and its line', async () => {
    const id = await house.newJob()
    const hello = async () => {
      const screen = await listen(id)
      screen.stop()
      return screen.heard.find(h => h.event === 'hello')!.data
    }
    expect(await hello()).toBe(0)
    await house.request(
      'POST',
      `/api/jobs/${id}/events`,
      rowTaken('as-found', null, 'high-20', { powerW: 3 }),
    )
    expect(await hello()).toBe(1)
  })
  it('hears where the other screen is; a refused entry is not told', async () => {
    const id = await house.newJob()
    const screen = await listen(id)
    expect(
      await house.request('POST', `/api/jobs/${id}/events`, {
        ...rowTaken('as-found', null, 'high-20', { powerW: 3 }),
        pointId: 'nowhere',
      }),
    ).toMatchObject({ status: 422 })
    expect(
      await house.request('POST', `/api/jobs/${id}/position`, {
        stepId: 'A1.5',
        pointId: 'ch20',
        screen: randomUUID(),
      }),
    ).toMatchObject({ status: 204 })
    expect(await house.request('POST', `/api/jobs/${id}/position`, { stepId: 'A1.5' })).toMatchObject({
      status: 400,
    })
    const heard = await screen.until(h => h.some(x => x.event === 'position'))
    expect(
      heard
        .filter(h => h.event !== 'hello' && h.event !== 'again')
        .map(h => [h.event, h.data.position?.stepId]),
    ).toEqual([['position', 'A1.5']])
    screen.stop()
  })
  it('of no job there is nothing to hear', async () => {
    expect((await fetch(`${house.address}/api/jobs/${randomUUID()}/live`)).status).toBe(404)
  })
  it('after the database was away it is told to read again, and hears on', async () => {
    const id = await house.newJob()
    const screen = await listen(id)
    const told = () => screen.heard.filter(h => h.event === 'again').length
    const before = told()
    await house.cluster.halt()
    await house.cluster.startAgain()
    await screen.until(() => told() > before)
    expect(told()).toBeGreaterThan(before)
    const note = { id: randomUUID(), atMs: 5, kind: 'note', stepId: null, text: 'back' }
    for (let i = 0; i < 20; i++)
      if ((await house.request('POST', `/api/jobs/${id}/events`, note)).status < 300) break
    const heard = await screen.until(h => h.some(x => x.event === 'event'))
    expect(heard.find(h => h.event === 'event')!.data.event).toMatchObject({ kind: 'note', text: 'back' })
    screen.stop()
  })
})
