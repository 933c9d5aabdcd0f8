import { benchKit, type BenchLook, type SimulatedInstrument } from '#core/practice/instruments'
import {
  LESSONS,
  lessonProgress,
  type Lesson,
  type Logged,
  type PracticeRecord,
  type TracePoint,
} from '#core/practice'
import { CoreError } from '#core/errors'
import {
  NO_LIMIT_A,
  act,
  advance,
  deliver,
  preparedScenario,
  renderIq,
  rigDesign,
  scenarioOf,
  truthOf,
  type RenderedIq,
  type RigAction,
  type RigState,
  type RigTruth,
  type Scenario,
} from '#core/rig'
import { modelSheet } from '#core/sheet'
import type { BenchSession, PracticeChange, PracticeState } from '#shared/practice'
import { instrumentHandler } from './instrumentHandler'
import { actionsOf } from './practiceActions'
import { practiceView } from './practiceView'
import { ScpiServer } from './scpiServer'

interface Plugged {
  readonly instrument: SimulatedInstrument
  readonly server: ScpiServer
  port: number
}

/** A look is good for this long: many instruments asking at once see the same moment [s]. */
const LOOK_S = 0.02
const TRACE_EVERY_S = 0.5
/** An hour and more of a forgotten session is enough. */
const MAX_TRACE = 20_000
/** The instruments of this bench err the same whatever set stands before them. */
const INSTRUMENT_SEED = 6762
/** Current limit that a sensible bench sets: above what the set draws when keyed. */
const LIMIT_MARGIN = 1.3

/** A simulated set with its instruments in front of it; time comes from the clock that is passed in. */
export class SimulatedBench {
  private scenario: Scenario
  private lesson: Lesson | null = null
  private lessonDone = 0
  /**
   * Positions of cores are told as they are until a case begins: then nothing must give away which one is not
   * right.
   */
  private offsetSeed: number | null = null
  private kitId = 'usual'
  private state: RigState
  private startState: RigState
  private beganS: number
  private reachedS: number
  private log: Logged[] = []
  private trace: TracePoint[] = []
  private motion: string | null = null
  private plugged: Plugged[] = []
  private looked: { readonly atS: number; readonly state: RigState; readonly look: BenchLook } | null = null

  /**
   * @param firstPort SCPI ports of the first kit are firstPort..; 0 = any free ones
   * @param instrumentSeed of the fixed errors of the instruments
   */
  constructor(
    private readonly seed: number,
    private readonly nowS: () => number,
    private readonly firstPort: number,
    private readonly instrumentSeed = INSTRUMENT_SEED,
  ) {
    this.scenario = preparedScenario('osmund-27f', seed)
    this.startState = this.state = this.freshly(deliver(this.scenario))
    this.beganS = this.reachedS = nowS()
  }

  async start(): Promise<void> {
    await this.standKit(this.kitId)
  }

  async stop(): Promise<void> {
    await Promise.all(this.plugged.map(p => p.server.unplug()))
  }

  /**
   * Puts another set on the bench, with another kit in front of it.
   * @throws {CoreError} unknown-sheet, unknown-cause, unknown-item
   */
  async begin({
    designId,
    faultIds = [],
    seed = this.seed,
    lessonId,
    kitId,
    told = false,
  }: BenchSession): Promise<PracticeState> {
    const lesson = lessonId ? (LESSONS.find(l => l.id === lessonId) ?? null) : null
    if (lessonId && !lesson) throw new CoreError('unknown-item', `no lesson "${lessonId}"`)
    this.scenario = lesson
      ? {
          id: `lesson:${lesson.id}`,
          designId: lesson.designId,
          faultIds: [],
          seed,
          difficulty: 1,
          owner: 'Weirside Bench',
          complaint: lesson.what,
        }
      : scenarioOf(designId ?? '', faultIds, seed)
    this.lesson = lesson
    this.offsetSeed = lesson || told ? null : seed
    this.bring(lesson ? lesson.prepare() : deliver(this.scenario))
    if (kitId !== this.kitId || this.plugged.length === 0) await this.standKit(kitId)
    return this.view()
  }

  /** @throws {CoreError} unknown-channel, unknown-adjuster, unknown-item, out-of-range */
  async change(change: PracticeChange): Promise<PracticeState> {
    this.catchUp()
    const { warmByS = 0, deliverAgain, plug } = change
    if (deliverAgain) this.bring(this.lesson ? this.lesson.prepare() : deliver(this.scenario))
    this.does(actionsOf(change, this.state, this.offsetSeed))
    if (warmByS > 0) {
      this.note({ kind: 'pass', seconds: warmByS }, null)
      this.state = advance(this.state, warmByS)
      this.looked = null
      this.tracePoint()
    }
    if (plug) await this.plug(plug.key, plug.pluggedIn)
    return this.view()
  }

  readonly does = (actions: readonly RigAction[]): void => {
    this.catchUp()
    for (const action of actions) {
      const { state, motion } = act(this.state, action)
      const keys = state.controls.keyed !== this.state.controls.keyed
      // A point on each side of a key: a line across it would show power that was not there.
      if (keys) this.tracePoint()
      this.state = state
      if (keys) this.tracePoint()
      if (action.kind === 'turn') this.motion = motion
      this.note(action, motion)
    }
    if (actions.length > 0) this.looked = null
  }

  readonly look = (): BenchLook => {
    this.catchUp()
    if (this.looked && this.looked.state === this.state) return this.looked.look
    const { state } = this
    const truth = truthOf(state)
    let spectral: RigTruth | null = null
    this.looked = {
      atS: this.nowS(),
      state,
      look: { state, truth, spectral: () => (spectral ??= truthOf(state, true)) },
    }
    return this.looked.look
  }

  view(): PracticeState {
    const { state, truth } = this.look()
    if (this.lesson)
      this.lessonDone = lessonProgress(this.lesson, this.lessonDone, { state, truth, log: this.log })
    const { complaint, owner } = this.scenario
    return practiceView(
      state,
      truth,
      {
        complaint,
        owner,
        kitId: this.kitId,
        lesson: this.lesson ? { id: this.lesson.id, done: this.lessonDone } : null,
        motion: this.motion,
        offsetSeed: this.offsetSeed,
      },
      this.plugged.map(p => ({
        key: p.instrument.key,
        name: p.instrument.name,
        profileId: p.instrument.profileId,
        pluggedIn: p.server.pluggedIn,
        port: p.port,
      })),
    )
  }

  /** Everything for the review; what the trainee named and measured is added by whoever asks. */
  record(): Omit<PracticeRecord, 'named' | 'rowsBeforeFirstTurn'> {
    this.catchUp()
    return {
      scenario: this.scenario,
      start: this.startState,
      final: this.state,
      log: this.log,
      trace: this.trace,
    }
  }

  /** What the dongle of the kit records now. It is off by its own crystal and does not know. */
  recording(rateHz: number, seconds: number): RenderedIq & { readonly centreHz: number } {
    const { state, truth } = this.look()
    const offsetHz = rateHz / 10
    const ppm = benchKit(this.kitId).dongleOfPpm
    return {
      ...renderIq(state, {
        rateHz,
        seconds,
        offsetHz: offsetHz + truth.channelHz * ppm * 1e-6,
        noiseDb: 65,
        fullScaleW: 4 * Math.max(1, truth.values.pepW ?? 1),
      }),
      centreHz: truth.channelHz - offsetHz,
    }
  }

  private note(action: Logged['action'], motion: string | null): void {
    this.log.push({ atS: this.sessionS(), atMs: Date.now(), action, motion })
  }

  private bring(state: RigState): void {
    this.startState = this.state = this.freshly(state)
    this.beganS = this.reachedS = this.nowS()
    this.log = []
    this.trace = []
    this.motion = null
    this.lessonDone = 0
    this.looked = null
  }

  /** A sensible current limit stands at the supply before anything is connected. */
  private freshly(state: RigState): RigState {
    const design = rigDesign(state.designId)
    const { final, driver, supplyInput } = design.parts
    const wideOpenA =
      final.saturatedW / (final.efficiency * design.nominalSupplyV) +
      driver.currentA +
      supplyInput.receiveA +
      supplyInput.exciterA
    const limitA = state.parts.valves
      ? NO_LIMIT_A
      : LIMIT_MARGIN * Math.max(modelSheet(design.id).keyedA.high, wideOpenA)
    return { ...state, surroundings: { ...state.surroundings, limitA } }
  }

  /** The set lives as fast as the clock. */
  private catchUp(): void {
    const nowS = this.nowS()
    if (nowS - this.reachedS < LOOK_S) return
    this.state = advance(this.state, nowS - this.reachedS)
    this.reachedS = nowS
    this.looked = null
    if (this.sessionS() - (this.trace.at(-1)?.atS ?? -Infinity) >= TRACE_EVERY_S) this.tracePoint()
  }

  private tracePoint(): void {
    if (this.trace.length >= MAX_TRACE) return
    const { values, junctionC, channelHz } = truthOf(this.state)
    this.trace.push({
      atS: this.sessionS(),
      powerW: values.powerW ?? 0,
      keyed: this.state.controls.keyed,
      junctionC,
      supplyA: values.supplyA ?? 0,
      errorHz: values.carrierHz ? values.carrierHz - channelHz : null,
    })
  }

  /** Time of the session, passed warm-up included [s]. */
  private sessionS(): number {
    return this.state.memory.timeS - this.startState.memory.timeS
  }

  private async standKit(kitId: string): Promise<void> {
    await this.stop()
    const kit = benchKit(kitId)
    this.kitId = kit.id
    this.plugged = kit.instruments.map((instrument, i) => ({
      instrument,
      port: 0,
      server: new ScpiServer(
        instrument.identity,
        instrumentHandler(instrument, {
          look: this.look,
          nowS: this.nowS,
          seed: () => this.instrumentSeed,
          does: this.does,
        }),
        this.firstPort === 0 ? 0 : this.firstPort + i,
      ),
    }))
    for (const p of this.plugged) p.port = await p.server.plugIn()
  }

  private async plug(key: string, pluggedIn: boolean): Promise<void> {
    const found = this.plugged.find(p => p.instrument.key === key)
    await (pluggedIn ? found?.server.plugIn() : found?.server.unplug())
  }
}
