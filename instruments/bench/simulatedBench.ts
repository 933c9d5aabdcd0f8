import { changeOsmund27f, measureOsmund27f, osmund27fAsFound, type RigState, type RigTruth } from '../../core/rig'
import type { PracticeChange, PracticeState } from '../../shared/practice'
import { ScpiServer } from './scpiServer'
import { SIMULATED_INSTRUMENTS, type SimulatedInstrument } from './simulatedInstruments'

interface Plugged { readonly instrument: SimulatedInstrument, readonly server: ScpiServer, port: number }

/** One simulated set with four instruments in front of it; time comes from the clock that is passed in. */
export class SimulatedBench {
  private state: RigState
  private readonly plugged: Plugged[]
  /** First power of an unknown solid-state mobile (common practice) [A]. */
  currentLimitA = 1.5

  /** @param firstPort SCPI ports are firstPort.. +3; 0 = any free ones */
  constructor(private readonly seed: number, private readonly nowS: () => number, firstPort: number) {
    this.state = osmund27fAsFound(seed, nowS())
    this.plugged = SIMULATED_INSTRUMENTS.map((instrument, i) => ({
      instrument, port: 0,
      server: new ScpiServer(instrument.identity, instrument.handler(this), firstPort === 0 ? 0 : firstPort + i),
    }))
  }

  async start(): Promise<void> {
    for (const p of this.plugged) p.port = await p.server.plugIn()
  }

  async stop(): Promise<void> {
    await Promise.all(this.plugged.map(p => p.server.unplug()))
  }

  /** At its limit the supply holds the current and lets the voltage go; the set then sees that voltage. */
  readonly truth = (): RigTruth => {
    const free = measureOsmund27f(this.state, this.nowS())
    if (free.supplyA <= this.currentLimitA) return free
    const supplyV = free.supplyV * this.currentLimitA / free.supplyA
    return { ...measureOsmund27f({ ...this.state, supplyV }, this.nowS()), supplyA: this.currentLimitA }
  }

  /** @throws {CoreError} unknown-channel, unknown-adjuster, out-of-range */
  async change(change: PracticeChange): Promise<PracticeState> {
    const { adjusters, plug, deliverAgain, ...controls } = change
    if (deliverAgain) this.state = osmund27fAsFound(this.seed, this.nowS())
    const positions = adjusters ? Object.fromEntries(adjusters.map(a => [a.designator, a.position])) : {}
    this.state = changeOsmund27f(this.state, { ...defined(controls), adjusters: positions }, this.nowS())
    if (plug) await this.plug(plug.key, plug.pluggedIn)
    return this.view()
  }

  view(): PracticeState {
    const { adjusters, channel, keyed, lowPower, toneOn, toneLevelV, supplyV } = this.state
    const { onTimeS, locked, lockS, panelPowerW, sensitivityV } = this.truth()
    return {
      adjusters, channel, keyed, lowPower, toneOn, toneLevelV, supplyV, onTimeS, locked, lockS, panelPowerW, sensitivityV,
      instruments: this.plugged.map(p => ({ key: p.instrument.key, name: p.instrument.name, pluggedIn: p.server.pluggedIn, port: p.port })),
    }
  }

  private async plug(key: string, pluggedIn: boolean): Promise<void> {
    const found = this.plugged.find(p => p.instrument.key === key)
    await (pluggedIn ? found?.server.plugIn() : found?.server.unplug())
  }
}

/** Fields that were not sent must not overwrite what stands. */
function defined<T extends object>(fields: T): T {
  return Object.fromEntries(Object.entries(fields).filter(([, v]) => v !== undefined)) as T
}
