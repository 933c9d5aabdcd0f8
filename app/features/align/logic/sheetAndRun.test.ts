// @vitest-environment happy-dom
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { effectScope, nextTick, ref } from 'vue'
import { runState, type JobEvent } from '#core/run'
import { ruleSet } from '#core/rules'
import { modelSheet } from '#core/sheet'
import { stepRow } from '../../../../test/fixtures/jobEvents'
import type { RunPosition } from '#shared/jobLive'
import type { LiveEntry } from '~/features/instruments/logic/liveBook'
import { useAlignCoach } from './useAlignCoach'
import { useCountdown } from '~/ui/useCountdown'
import { useFollowing } from './useFollowing'
import { SCREEN, useJobLive } from '~/features/job/logic/useJobLive'
import { usePeakGuide, type NeedleReading } from './usePeakGuide'
import { discardDraft, listDrafts, newDraftName, useSheetDraft } from '~/features/sheet/logic/useSheetDraft'

const FM = modelSheet('osmund-27f')
const inScope = <T>(make: () => T): T => effectScope().run(make)!

beforeEach(() => localStorage.clear())
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

describe('a sheet being written', () => {
  it('takes every change back and gives it again, in order', () => {
    const d = useSheetDraft('osmund-27f')
    d.begin(FM)
    d.change({ load: 'a' })
    d.change({ load: 'b' })
    d.undo()
    expect([d.draft.value!.load, d.canRedo.value]).toEqual(['a', true])
    d.redo()
    expect(d.draft.value!.load).toBe('b')
    d.undo()
    d.undo()
    d.undo()
    expect([d.draft.value!.load, d.canUndo.value, d.differences.value]).toEqual([FM.load, false, []])
    d.redo()
    d.change({ load: 'c' })
    expect(d.canRedo.value).toBe(false)
  })
  it('survives a closed browser, and can be given up', () => {
    const first = useSheetDraft('osmund-27f')
    first.begin(FM)
    first.change({ load: 'oil' })
    const again = useSheetDraft('osmund-27f')
    again.begin(FM)
    expect([again.recovered.value, again.draft.value!.load]).toEqual([true, 'oil'])
    again.startOver()
    expect([again.recovered.value, again.draft.value!.load]).toEqual([false, FM.load])
  })
  it('of an older revision is put together with the newer one: a correction made in a run kills no draft', () => {
    const first = useSheetDraft('osmund-27f')
    first.begin(FM)
    first.change({ load: 'oil' })
    const newer = useSheetDraft('osmund-27f')
    newer.begin({ ...FM, revision: 2, description: 'corrected' })
    expect([
      newer.recovered.value,
      newer.draft.value!.load,
      newer.draft.value!.description,
      newer.draft.value!.revision,
      newer.taken.value,
    ]).toEqual([true, 'oil', 'corrected', 2, 1])
    expect(newer.differences.value.map(d => d.field)).toEqual(['load'])
  })
  it('what both changed is decided place by place', () => {
    const first = useSheetDraft('osmund-27f')
    first.begin(FM)
    first.change({ load: 'oil' })
    const newer = useSheetDraft('osmund-27f')
    newer.begin({ ...FM, revision: 2, load: 'air' })
    expect([newer.draft.value!.load, newer.conflicts.value.length]).toEqual(['air', 1])
    newer.decide(newer.conflicts.value[0]!, 'mine')
    expect([newer.draft.value!.load, newer.conflicts.value.length]).toEqual(['oil', 0])
  })
  it('is listed, and discarded on purpose only', () => {
    const d = useSheetDraft(newDraftName('b27'))
    d.begin({ ...FM, id: 'b27', model: 'Osmund B27' })
    d.change({ load: 'oil' })
    expect(listDrafts()).toEqual([{ name: 'new-b27', model: 'Osmund B27', isNew: true, lines: 1 }])
    discardDraft('new-b27')
    expect(listDrafts()).toEqual([])
  })
  it('names what does not hold together at once', () => {
    const d = useSheetDraft('x')
    d.begin(FM)
    d.change({ adjusters: FM.adjusters.filter(a => a.designator !== 'CT2') })
    expect(d.problems.value.map(p => p.code)).toContain('unknown-adjuster')
  })
})

describe('the guide to the peak', () => {
  it('tells which way the level goes and how far below the best it stands', async () => {
    const reading = ref<NeedleReading | null>(null)
    const peak = inScope(() => usePeakGuide(reading, () => reading.value!.value))
    peak.begin()
    let t = 0
    const hold = async (value: number, seconds: number) => {
      for (let i = 0; i < seconds * 10; i++) {
        reading.value = { atMs: (t += 100), value }
        await nextTick()
      }
    }
    await hold(2, 4)
    reading.value = { atMs: (t += 100), value: 2.4 }
    await nextTick()
    expect(peak.trend.value).toBe('up')
    await hold(2.4, 4)
    await hold(2, 4)
    expect(peak.last.value!.word).toBe('turn-back')
    expect(peak.belowDb.value).toBeCloseTo(10 * Math.log10(2.4 / 2), 1)
    expect(peak.best.value).toBeCloseTo(2.4, 9)
    peak.end()
    expect(peak.on.value).toBe(false)
  })
})

describe('two screens of one run', () => {
  const make = (width: number) => {
    vi.stubGlobal('innerWidth', width)
    const at = ref({ stepId: 'A1.3', pointId: 'pin' })
    const told = ref<RunPosition | null>(null)
    const sent: RunPosition[] = []
    const gone: string[] = []
    const follow = inScope(() =>
      useFollowing(
        () => at.value,
        told,
        p => sent.push(p),
        (s, p) => gone.push(`${s}/${p}`),
      ),
    )
    return { at, told, sent, gone, follow }
  }
  it('a phone follows by itself, a screen on the bench does not', async () => {
    const [phone, bench] = [make(390), make(1280)]
    const place = { stepId: 'A1.5', pointId: 'ch20', screen: 'other' }
    phone.told.value = bench.told.value = place
    await nextTick()
    expect([phone.gone, bench.gone]).toEqual([['A1.5/ch20'], []])
    bench.follow.toggle()
    await nextTick()
    expect(bench.gone).toEqual(['A1.5/ch20'])
  })
  it('tells where it went, but not what it was told', async () => {
    const s = make(1280)
    s.at.value = { stepId: 'A1.5', pointId: 'ch20' }
    await nextTick()
    expect(s.sent.map(p => p.stepId)).toEqual(['A1.5'])
    s.told.value = { stepId: 'A1.7', pointId: 'ch1', screen: 'other' }
    s.at.value = { stepId: 'A1.7', pointId: 'ch1' }
    await nextTick()
    expect(s.sent).toHaveLength(1)
  })
})

describe('a clock for keys', () => {
  it('runs up and says when it is over', () => {
    vi.useFakeTimers()
    const clock = inScope(() => useCountdown(() => 5))
    expect([clock.running.value, clock.over.value]).toEqual([false, false])
    clock.start()
    vi.advanceTimersByTime(4900)
    expect([clock.over.value, clock.seconds.value]).toEqual([false, 4.9])
    vi.advanceTimersByTime(200)
    expect(clock.over.value).toBe(true)
    clock.reset()
    expect([clock.running.value, clock.seconds.value]).toEqual([false, 0])
  })
})

describe('what helps at a step', () => {
  const at = (
    stepId: string,
    live: Partial<Record<string, number>> = {},
    sheet = FM,
    events: JobEvent[] = [],
  ) => {
    const run = runState(sheet, ruleSet(sheet.defaultRuleSetId), events)
    const state = run.steps.find(s => s.step.id === stepId)!
    const entry = (q: string) =>
      live[q] === undefined
        ? null
        : ({
            value: live[q],
            receivedAtMs: 1,
            status: 'ok',
            instrument: 'Meter',
            standardUncertainty: 0.01,
          } as unknown as LiveEntry)
    return inScope(() =>
      useAlignCoach({
        sheet: () => sheet,
        run: () => run,
        events: () => events,
        asFound: () => [],
        state: () => state,
        want: () => state.wants[0]!,
        nowMs: () => 1000,
        liveOf: entry,
        driftOf: () => [],
        rfSeen: () => ({ rfW: live.powerW ?? null, keyedBy: (live.powerW ?? 0) > 0.02 ? 'rf' : null }),
        stretchOf: () => '',
        accuracy: () => null,
      }),
    )
  }
  it('coils are peaked, on current while there is no output', () => {
    expect([
      at('A1.8', { powerW: 2, supplyA: 1 }).peakable.value,
      at('A1.8', { powerW: 2, supplyA: 1 }).peaked.value!.quantity,
      at('A1.8', { supplyA: 1 }).peaked.value!.quantity,
    ]).toEqual([true, 'powerW', 'supplyA'])
    expect(at('A1.8').peakable.value).toBe(false)
  })
  it('an unkeyed needle is no best and no advice', () => {
    const unkeyed = at('A1.8', { powerW: 0, supplyA: 0.3 })
    expect(unkeyed.shownValue.value).toBeNull()
    expect(at('A1.10', { powerW: 0 }).advice.value).toBeNull()
  })
  it('minutes since power-on that were typed count', () => {
    const typed = { ...stepRow('A1.0', 'warm', { onTimeS: 600 }), atMs: 1000 } as JobEvent
    expect(at('A1.5', {}, FM, [typed]).gate.value).toMatchObject({ state: 'wait', by: 'time', opensInS: 600 })
  })
  it('a trimmer is set to its window, not peaked', () =>
    expect(at('A1.5', { carrierHz: 27_791_200 }).peakable.value).toBe(false))
  it('frequency waits for the warm-up, power does not', () => {
    expect(at('A1.5', { onTimeS: 60 }).gate.value).toMatchObject({ state: 'wait', by: 'time' })
    expect(at('A1.5').gate.value).toMatchObject({ state: 'unknown' })
    expect(at('A1.8', { onTimeS: 60 }).gate.value).toBeNull()
  })
  it('a menu value has its goal under the limit and its entry', () => {
    const menu = at('A4.4b', {}, modelSheet('corvid-m6')).menu.value!
    expect(menu.entry).toBe('02')
    expect(menu.goal!.limit).toBeCloseTo(0.4, 2)
  })
})

describe('the line of a job', () => {
  /** The browser's event source, as far as it is used. */
  class FakeSource {
    static readonly made: FakeSource[] = []
    readonly on = new Map<string, (e: { data: string }) => void>()
    closed = false
    constructor(readonly url: string) {
      FakeSource.made.push(this)
    }
    addEventListener(name: string, tell: (e: { data: string }) => void) {
      this.on.set(name, tell)
    }
    close() {
      this.closed = true
    }
    tell(name: string, data: unknown = '') {
      this.on.get(name)?.({ data: JSON.stringify(data) })
    }
  }
  const page = {
    visibilityState: 'visible',
    looked: [] as (() => void)[],
    addEventListener: (_n: string, f: () => void) => page.looked.push(f),
    removeEventListener: () => {},
  }
  const make = () => {
    FakeSource.made.length = 0
    page.visibilityState = 'visible'
    vi.stubGlobal('EventSource', FakeSource)
    vi.stubGlobal('document', page)
    const taken: JobEvent[] = []
    let again = 0
    const live = inScope(() =>
      useJobLive(
        ref('job-1'),
        e => taken.push(e),
        () => void again++,
      ),
    )
    live.connect()
    return { live, taken, again: () => again, source: () => FakeSource.made.at(-1)! }
  }
  it('passes on what is kept elsewhere and where the other screen is, but not its own place', () => {
    const { live, taken, source } = make()
    source().tell('hello')
    source().tell('event', { event: { id: 'a', kind: 'note' } })
    source().tell('place', { place: { stepId: 'A1.5', pointId: 'ch20', screen: SCREEN } })
    expect([live.connected.value, taken.map(e => e.id), live.place.value]).toEqual([true, ['a'], null])
    source().tell('place', { place: { stepId: 'A1.5', pointId: 'ch20', screen: 'other' } })
    expect(live.place.value!.stepId).toBe('A1.5')
  })
  it('lost, it comes back by itself and everything is read again', () => {
    vi.useFakeTimers()
    const { again, source, live } = make()
    source().tell('hello')
    expect(again()).toBe(0)
    source().tell('error')
    expect(live.connected.value).toBe(false)
    vi.advanceTimersByTime(2500)
    source().tell('hello')
    expect([FakeSource.made.length, again()]).toEqual([2, 1])
  })
  it('is given back while nobody looks at the page', () => {
    const { source } = make()
    page.visibilityState = 'hidden'
    page.looked.forEach(f => f())
    expect(source().closed).toBe(true)
    page.visibilityState = 'visible'
    page.looked.forEach(f => f())
    expect(FakeSource.made.filter(s => !s.closed).length).toBeGreaterThan(0)
  })
})
