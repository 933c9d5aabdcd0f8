import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { nextTick, ref } from 'vue'
import { runState, type JobEvent, type KeyedBy, type RowTaken, type StepConfirmed } from '#core/run'
import { ruleSet } from '#core/rules'
import { OSMUND_27F } from '#core/sheet/osmund27f/sheet'
import type { Quantity } from '#core/quantity'
import type { LiveEntry } from '~/features/instruments/logic/liveBook'
import { confirmed, goodRun, goodStart, stepRow, turned } from '../../../../test/fixtures/jobEvents'
import { BARE_SETUP } from '#core/instrument'
import { EMPTY_CONTEXT } from '../../../../test/fixtures/doubts'
import { useRunPosition } from './useRunPosition'
import { useRowTaking, type RowTakingParts } from './useRowTaking'
import { useNotice } from '~/ui/useNotice'
import { useStepConfirm } from './useStepConfirm'

const run = (events: readonly JobEvent[]) => runState(OSMUND_27F, ruleSet('R-UK27'), events)

describe('the position in the run', () => {
  it('starts at the next step and at its first open point, and follows the readings', async () => {
    const events = ref<JobEvent[]>([...goodStart().slice(0, 2)])
    const position = useRunPosition(() => run(events.value))
    expect([position.stepId.value, position.pointId.value]).toEqual(['A1.3', 'pin'])
    events.value = [...goodStart().slice(0, 4), stepRow('A1.4', 'to1', { lockS: 0.2 })]
    position.toNext()
    await nextTick()
    expect([position.stepId.value, position.pointId.value]).toEqual(['A1.4', 'to20'])
    position.movePoint(1)
    expect(position.pointId.value).toBe('to40')
    position.movePoint(9)
    expect(position.pointId.value).toBe('wrap')
  })
  it('moves along the ladder and stops at its ends; a chosen point does not follow to another step', async () => {
    const position = useRunPosition(() => run([]))
    position.move(-1)
    expect(position.stepId.value).toBe('A1.0')
    position.stepId.value = 'A1.9'
    await nextTick()
    position.movePoint(2)
    position.move(99)
    await nextTick()
    expect([position.stepId.value, position.pointId.value]).toEqual(['A1.15', 'panel'])
    expect(position.missing.value.map(s => s.step.id)).toEqual(['A1.10'])
  })
})

describe('Enter at a step', () => {
  function at(events: readonly JobEvent[], stepId: string) {
    const kept: Omit<StepConfirmed, 'id' | 'atMs'>[] = []
    const onward = vi.fn()
    const say = vi.fn()
    const confirm = useStepConfirm(
      () => run(events).steps.find(s => s.step.id === stepId)!,
      () => run(events),
      async event => {
        kept.push(event)
      },
      onward,
      say,
    )
    return { kept, onward, say, confirm }
  }
  it('confirms what is inside and goes on', async () => {
    const { kept, onward, confirm } = at([stepRow('A1.0', 'warm', { onTimeS: 1500 })], 'A1.0')
    await confirm.confirm()
    expect(kept).toEqual([{ kind: 'step-confirmed', stepId: 'A1.0', outcome: 'done', reason: '' }])
    expect(onward).toHaveBeenCalledOnce()
  })
  it('asks for words before it accepts or skips', async () => {
    const { kept, confirm } = at([stepRow('A1.10', 'ch20', { powerW: 3.95 })], 'A1.10')
    await confirm.confirm()
    expect([confirm.asking.value, kept]).toEqual(['as-is', []])
    await confirm.withReason('3 % meter, owner told')
    expect(kept[0]).toMatchObject({ outcome: 'as-is', reason: '3 % meter, owner told' })
    const skip = at([], 'A1.3')
    await skip.confirm.confirm()
    expect(skip.confirm.asking.value).toBe('skipped')
  })
  it('skips without words only what a reading makes unnecessary', async () => {
    const { kept, confirm } = at(goodStart(), 'A1.8')
    await confirm.confirm()
    expect(kept[0]).toMatchObject({ outcome: 'skipped', reason: '' })
  })
  it('does not accept a stale reading, and only goes on where all is done', async () => {
    const stale = at([...goodRun(), turned('RV1')], 'A1.11')
    await stale.confirm.confirm()
    expect([stale.kept, stale.say.mock.calls.length]).toEqual([[], 1])
    const done = at(goodRun(), 'A1.11')
    await done.confirm.confirm()
    expect([done.kept, done.onward.mock.calls.length]).toEqual([[], 1])
  })
  it('lets work follow from a deciding step', async () => {
    const { kept, confirm } = at(
      [...goodStart().slice(0, 11), ...[1, 20, 40].map(c => stepRow('A1.7', `ch${c}`, { powerW: 2 }))],
      'A1.7',
    )
    await confirm.confirm()
    expect(kept[0]).toMatchObject({ outcome: 'as-is', reason: '' })
    expect(confirmed('A1.7').kind).toBe(kept[0]!.kind)
  })
})

describe('taking rows', () => {
  const entry = (quantity: Quantity, value: number | null): LiveEntry => ({
    quantity,
    value,
    status: value === null ? 'no-signal' : 'ok',
    standardUncertainty: 0.1,
    instrumentId: 'a',
    instrument: 'Meter',
    receivedAtMs: 0,
  })
  function taking(
    live: Partial<Record<Quantity, number | null>>,
    append?: () => Promise<void>,
    keyedBy: KeyedBy | null = null,
    shown: RowTakingParts['shown'] = () => null,
  ) {
    const kept: Omit<RowTaken, 'id' | 'atMs'>[] = []
    const say = vi.fn()
    const rfW = live.powerW ?? null
    const seen = { rfW, keyedBy: rfW !== null && rfW > 0.02 ? ('rf' as const) : keyedBy }
    const rows = useRowTaking({
      sheet: () => OSMUND_27F,
      phase: 'as-found',
      doubting: () => EMPTY_CONTEXT,
      say,
      append: append ?? (async event => void kept.push(event)),
      liveOf: q => (live[q] === undefined ? null : entry(q, live[q])),
      shown,
      rfSeen: () => seen,
    })
    return { kept, say, rows }
  }
  const KEYED = { powerW: 2.8, carrierHz: 27_791_182, supplyV: 13.8, supplyA: 0.9, onTimeS: 1500 }

  it('one press keeps the whole row with its conditions', async () => {
    const { kept, rows } = taking(KEYED)
    expect(await rows.take(null, 'high-20')).toBe(true)
    expect(kept[0]).toMatchObject({
      pointId: 'high-20',
      phase: 'as-found',
      conditions: { channel: 20, supplyV: 13.8, onTimeS: 1500 },
    })
    expect(kept[0]!.readings.map(r => r.quantity)).toEqual(['carrierHz', 'powerW', 'supplyV', 'supplyA'])
  })
  it('says what is missing, asks for the key, and opens typing where no instrument reads', async () => {
    const part = taking({ powerW: 2.8 })
    await part.rows.take(null, 'high-20')
    expect(part.say).toHaveBeenCalledWith('Channel 20, high power: 1 taken, 3 to be typed.', 'problem')
    const unkeyed = taking({ ...KEYED, powerW: 0 })
    expect(await unkeyed.rows.take(null, 'high-20')).toBe(false)
    expect(unkeyed.kept).toEqual([])
    const none = taking({})
    await none.rows.take(null, 'receiver')
    expect(none.rows.typing.value).toEqual({ pointId: 'receiver', first: '' })
  })
  it('says of an instrument that pauses that it pauses, not that there is none', async () => {
    const atMs = new Date('2026-04-01T10:00:05').getTime()
    const paused = taking({}, undefined, null, q =>
      q === 'audibleV' ? null : { entry: { ...entry(q, 1), receivedAtMs: atMs }, freshness: 'stale' },
    )
    expect(await paused.rows.take(null, 'receiver')).toBe(false)
    expect(paused.say).toHaveBeenCalledWith(
      'Not taken. Meter not updating, last read 10:00. Take it again, or type the value.',
      'problem',
    )
    expect(paused.rows.typing.value).toBeNull()
    const half = taking({ powerW: 2.8 }, undefined, null, q =>
      q === 'carrierHz' ? { entry: { ...entry(q, 1), receivedAtMs: atMs }, freshness: 'stale' } : null,
    )
    await half.rows.take(null, 'high-20')
    expect(half.say.mock.calls[0]![0]).toBe(
      'Channel 20, high power: 1 taken, 3 missing. Meter not updating, last read 10:00.',
    )
    const mute = taking({}, undefined, null, q => ({ entry: entry(q, null), freshness: 'live' }))
    await mute.rows.take(null, 'receiver')
    expect(mute.say.mock.calls[0]![0]).toMatch(/^Not taken. Meter: no signal: key the set. Take it again/)
  })
  it('keyed by hand without RF it says so, and takes the row of a dead set at the second press', async () => {
    const { kept, say, rows } = taking({ ...KEYED, powerW: 0 }, undefined, 'hand')
    expect(await rows.take(null, 'high-20')).toBe(false)
    expect(say.mock.calls[0]![0]).toMatch(/no RF/)
    expect(await rows.take(null, 'high-20')).toBe(true)
    expect(kept[0]!.readings.find(r => r.quantity === 'powerW')!.value).toBe(0)
  })
  it('refuses what the server would refuse before it says taken, and keeps the rest of the row', async () => {
    const { kept, say, rows } = taking({ ...KEYED, supplyA: 1e6 })
    expect(await rows.take(null, 'high-20')).toBe(true)
    expect(kept[0]!.readings.map(r => r.quantity)).toEqual(['carrierHz', 'powerW', 'supplyV'])
    expect(say.mock.calls.at(-1)![0]).toMatch(/3 taken, 1 to be typed. Not taken: Supply current/)
  })
  it('points out the wrong channel once, and obeys the second press', async () => {
    const { kept, say, rows } = taking({ ...KEYED, carrierHz: 27_991_100 })
    expect(await rows.take(null, 'high-20')).toBe(false)
    expect(say.mock.calls[0]![0]).toMatch(/channel 40. This row is channel 20/)
    expect(await rows.take(null, 'high-20')).toBe(true)
    expect(kept).toHaveLength(1)
  })
  it('a row typed while the one before is being kept waits for its turn', async () => {
    const done: string[] = []
    const slow: (() => void)[] = []
    const { rows } = taking({}, () => new Promise(resolve => slow.push(() => resolve())))
    const type = (pointId: string) =>
      rows
        .takeTyped(null, pointId, [{ quantity: 'powerW', value: 3, instrument: null }])
        .then(() => done.push(pointId))
    const both = [type('high-1'), type('high-20')]
    await nextTick()
    expect(slow).toHaveLength(1)
    slow[0]!()
    await both[0]
    slow[1]!()
    await both[1]
    expect(done).toEqual(['high-1', 'high-20'])
  })
  it('a second Enter on a row that is being kept keeps it once', async () => {
    const slow: (() => void)[] = []
    const { rows } = taking({}, () => new Promise(resolve => slow.push(() => resolve())))
    rows.typing.value = { pointId: 'high-20', first: '3' }
    const type = () => rows.takeTyped(null, 'high-20', [{ quantity: 'powerW', value: 3, instrument: null }])
    const both = [type(), type()]
    await nextTick()
    slow[0]!()
    expect(await Promise.all(both)).toEqual([true, false])
    expect(slow).toHaveLength(1)
  })
  it('typed values describe their row better than what happens to be live', async () => {
    const { kept, rows } = taking({ supplyV: 13.8 })
    await rows.takeTyped(null, 'high-20', [
      { quantity: 'supplyV', value: 13.2, instrument: null },
      {
        quantity: 'powerW',
        value: 3,
        instrument: {
          name: 'Old meter',
          profileId: 'eye-power-20',
          words: '',
          isHere: true,
          setup: BARE_SETUP,
        },
      },
    ])
    expect(kept[0]!.conditions.supplyV).toBe(13.2)
    expect(kept[0]!.readings).toMatchObject([
      { source: 'typed', instrument: null, standardUncertainty: null },
      { instrument: 'Old meter', standardUncertainty: 1 / Math.sqrt(3) },
    ])
  })
  it('challenges at once what cannot be true, and keeps it all the same', async () => {
    const { kept, say, rows } = taking({})
    expect(await rows.takeTyped(null, 'high-20', [{ quantity: 'powerW', value: 40, instrument: null }])).toBe(
      true,
    )
    expect(kept).toHaveLength(1)
    expect(say).toHaveBeenLastCalledWith(
      expect.stringMatching(/typed readings saved\. 40\sW is 10 times 4\.0 W\. Check the range/),
      'problem',
    )
  })
  it(
    'a second press while the first is being kept makes no ' +
      'second row, and a browser that cannot keep says so',
    async () => {
      let release: () => void = () => undefined
      const slow = taking(KEYED, () => new Promise<void>(resolve => (release = resolve)))
      const first = slow.rows.take(null, 'high-20')
      expect(await slow.rows.take(null, 'high-20')).toBe(false)
      release()
      expect(await first).toBe(true)
      const broken = taking(KEYED, () => Promise.reject(new Error('quota exceeded')))
      expect(await broken.rows.take(null, 'high-20')).toBe(false)
      expect(broken.say.mock.calls[0]![0]).toMatch(/Not saved.*quota exceeded.*Write the reading down/)
    },
  )
})

describe('the line that says what happened', () => {
  beforeEach(() => vi.useFakeTimers())
  afterEach(() => vi.useRealTimers())
  it('goes away by itself, a problem later', () => {
    const { said, say } = useNotice(1000)
    say('taken')
    vi.advanceTimersByTime(1100)
    expect(said.value).toBeNull()
    say('wrong', 'problem')
    vi.advanceTimersByTime(1100)
    expect(said.value).toEqual({ text: 'wrong', kind: 'problem' })
    say('taken')
    vi.advanceTimersByTime(1500)
    expect(said.value).toBeNull()
  })
})
