import { benchKit, type BenchLook, type SimulatedInstrument } from '#core/practice/instruments'
import type { RigAction } from '#core/rig'
import { instrumentHandler } from './instrumentHandler'
import { ScpiServer } from './scpiServer'

interface Plugged {
  readonly instrument: SimulatedInstrument
  readonly server: ScpiServer
  port: number
}
/** What the instruments see and do. */
export interface InstrumentView {
  readonly look: () => BenchLook
  readonly nowS: () => number
  readonly does: (actions: readonly RigAction[]) => void
}

/** The instruments in front of the simulated set, each on a port of its own. */
export class KitOnBench {
  id = 'usual'
  private plugged: Plugged[] = []

  /**
   * @param firstPort SCPI ports of the first kit are firstPort..; 0 = any free ones
   * @param instrumentSeed of the fixed errors of the instruments
   */
  constructor(
    private readonly view: InstrumentView,
    private readonly firstPort: number,
    private readonly instrumentSeed: number,
  ) {}

  get isEmpty(): boolean {
    return this.plugged.length === 0
  }

  get instruments() {
    return this.plugged.map(p => ({
      key: p.instrument.key,
      name: p.instrument.name,
      profileId: p.instrument.profileId,
      pluggedIn: p.server.pluggedIn,
      port: p.port,
    }))
  }

  /** @throws {CoreError} unknown-item */
  async stand(kitId: string): Promise<void> {
    await this.stop()
    const kit = benchKit(kitId)
    this.id = kit.id
    this.plugged = kit.instruments.map((instrument, i) => ({
      instrument,
      port: 0,
      server: new ScpiServer(
        instrument.identity,
        instrumentHandler(instrument, { ...this.view, seed: () => this.instrumentSeed }),
        this.firstPort === 0 ? 0 : this.firstPort + i,
      ),
    }))
    for (const p of this.plugged) p.port = await p.server.plugIn()
  }

  async plug(key: string, pluggedIn: boolean): Promise<void> {
    const found = this.plugged.find(p => p.instrument.key === key)
    await (pluggedIn ? found?.server.plugIn() : found?.server.unplug())
  }

  async stop(): Promise<void> {
    await Promise.all(this.plugged.map(p => p.server.unplug()))
  }
}
