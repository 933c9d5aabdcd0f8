import type { Logger } from 'pino'
import { GatewayCommands } from './commands'
import { InstrumentLink, type InstrumentConfig } from './instrumentLink'
import { LiveServer } from './liveServer'
import type { Targets } from '../scpi/targets'

/** Joins the instruments of a bench to the listeners: one link per instrument, one stream for all. */
export class Gateway {
  private readonly links = new Map<string, InstrumentLink>()
  private readonly commands = new GatewayCommands(id => this.links.get(id))
  private readonly live: LiveServer

  /** @param key that every path of its server begins with */
  constructor(
    private readonly log: Logger,
    private readonly targets: Targets,
    key = '',
  ) {
    this.live = new LiveServer(
      () => [...this.links.values()].map(l => l.link),
      (request, response) => this.commands.handle(request, response),
      key,
    )
  }

  listen(port: number): Promise<number> {
    return this.live.listen(port)
  }

  /** Makes the links match the wanted list; an unchanged instrument keeps its connection. */
  configure(wanted: readonly InstrumentConfig[]): void {
    for (const [id, link] of this.links) {
      const same = wanted.some(w => w.id === id && JSON.stringify(w) === JSON.stringify(link.config))
      if (same) continue
      link.stop()
      this.links.delete(id)
    }
    for (const config of wanted) {
      if (!this.links.has(config.id))
        this.links.set(config.id, new InstrumentLink(config, this.listener(), this.targets))
    }
    this.live.hello()
  }

  async close(): Promise<void> {
    this.commands.stop()
    for (const link of this.links.values()) link.stop()
    await this.live.close()
  }

  private listener() {
    return {
      poll: (poll: Parameters<LiveServer['poll']>[0]) => this.live.poll(poll),
      link: (link: Parameters<LiveServer['link']>[0]) => {
        this.log.info(
          { instrument: link.instrument, state: link.state, detail: link.detail },
          'instrument link',
        )
        this.live.link(link)
      },
      remark: (config: InstrumentConfig, text: string) =>
        this.log.warn({ instrument: config.name, error: text }, 'instrument reports an error'),
    }
  }
}
