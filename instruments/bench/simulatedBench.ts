import { benchKit, type BenchLook } from '#core/practice/instruments'
import { LESSONS, lessonProgress, type Lesson, type PracticeRecord } from '#core/practice'
import { CoreError } from '#core/errors'
import {
  act,
  advance,
  deliver,
  preparedScenario,
  renderIq,
  scenarioOf,
  truthOf,
  type RenderedIq,
  type RigAction,
  type RigState,
  type RigTruth,
  type Scenario,
} from '#core/rig'
import type { BenchSession, PracticeChange, PracticeState } from '#shared/practice'
import { BenchSessionLog } from './benchSession'
import { KitOnBench } from './kitOnBench'
import { actionsOf } from './practiceActions'
import { practiceView } from './practiceView'
import { withSupplyLimit } from './supplyLimit'

/** A look is good for this long: many instruments asking at once see the same moment [s]. */
const LOOK_S = 0.02
/** The instruments of this bench err the same whatever set stands before them. */
const INSTRUMENT_SEED = 6762

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
  private state: RigState
  private session: BenchSessionLog
  private reachedS: number
  private motion: string | null = null
  private readonly kit: KitOnBench
  private looked: { readonly atS: number; readonly state: RigState; readonly look: BenchLook } | null = null

  /**
   * @param firstPort SCPI ports of the first kit are firstPort..; 0 = any free ones
   * @param instrumentSeed of the fixed errors of the instruments
   */
  constructor(
    private readonly seed: number,
    private readonly nowS: () => number,
    firstPort: number,
    instrumentSeed = INSTRUMENT_SEED,
  ) {
    this.kit = new KitOnBench({ look: this.look, nowS, does: this.does }, firstPort, instrumentSeed)
    this.scenario = preparedScenario('osmund-27f', seed)
    this.state = withSupplyLimit(deliver(this.scenario))
    this.session = new BenchSessionLog(this.state)
    this.reachedS = nowS()
  }

  async start(): Promise<void> {
    await this.kit.stand(this.kit.id)
  }

  async stop(): Promise<void> {
    await this.kit.stop()
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
    this.scenario = lesson ? lessonScenario(lesson, seed) : scenarioOf(designId ?? '', faultIds, seed)
    this.lesson = lesson
    this.offsetSeed = lesson || told ? null : seed
    this.bring(lesson ? lesson.prepare() : deliver(this.scenario))
    if (kitId !== this.kit.id || this.kit.isEmpty) await this.kit.stand(kitId)
    return this.view()
  }

  /** @throws {CoreError} unknown-channel, unknown-adjuster, unknown-item, out-of-range */
  async change(change: PracticeChange): Promise<PracticeState> {
    this.catchUp()
    const { warmByS = 0, deliverAgain, plug } = change
    if (deliverAgain) this.bring(this.lesson ? this.lesson.prepare() : deliver(this.scenario))
    this.does(actionsOf(change, this.state, this.offsetSeed))
    if (warmByS > 0) {
      this.session.note(this.state, { kind: 'pass', seconds: warmByS }, null)
      this.state = advance(this.state, warmByS)
      this.looked = null
      this.session.point(this.state)
    }
    if (plug) await this.kit.plug(plug.key, plug.pluggedIn)
    return this.view()
  }

  readonly does = (actions: readonly RigAction[]): void => {
    this.catchUp()
    for (const action of actions) {
      const { state, motion } = act(this.state, action)
      const keys = state.controls.keyed !== this.state.controls.keyed
      // A point on each side of a key: a line across it would show power that was not there.
      if (keys) this.session.point(this.state)
      this.state = state
      if (keys) this.session.point(this.state)
      if (action.kind === 'turn') this.motion = motion
      this.session.note(state, action, motion)
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
      this.lessonDone = lessonProgress(this.lesson, this.lessonDone, { state, truth, log: this.session.log })
    const { complaint, owner } = this.scenario
    return practiceView(
      state,
      truth,
      {
        complaint,
        owner,
        kitId: this.kit.id,
        lesson: this.lesson ? { id: this.lesson.id, done: this.lessonDone } : null,
        motion: this.motion,
        offsetSeed: this.offsetSeed,
      },
      this.kit.instruments,
    )
  }

  /** Everything for the review; what the trainee named and measured is added by whoever asks. */
  record(): Omit<PracticeRecord, 'named' | 'rowsBeforeFirstTurn'> {
    this.catchUp()
    return {
      scenario: this.scenario,
      start: this.session.start,
      final: this.state,
      log: this.session.log,
      trace: this.session.trace,
    }
  }

  /** What the dongle of the kit records now. It is off by its own crystal and does not know. */
  recording(rateHz: number, seconds: number): RenderedIq & { readonly centreHz: number } {
    const { state, truth } = this.look()
    const offsetHz = rateHz / 10
    const ppm = benchKit(this.kit.id).dongleOfPpm
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

  private bring(state: RigState): void {
    this.state = withSupplyLimit(state)
    this.session = new BenchSessionLog(this.state)
    this.reachedS = this.nowS()
    this.motion = null
    this.lessonDone = 0
    this.looked = null
  }

  /** The set lives as fast as the clock. */
  private catchUp(): void {
    const nowS = this.nowS()
    if (nowS - this.reachedS < LOOK_S) return
    this.state = advance(this.state, nowS - this.reachedS)
    this.reachedS = nowS
    this.looked = null
    this.session.follow(this.state)
  }
}

function lessonScenario({ id, designId, what }: Lesson, seed: number): Scenario {
  return {
    id: `lesson:${id}`,
    designId,
    faultIds: [],
    seed,
    difficulty: 1,
    owner: 'Weirside Bench',
    complaint: what,
  }
}
