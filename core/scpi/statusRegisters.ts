import { SCPI_ERRORS, type ScpiErrorCode } from './message'

/** Longest error queue; the last place then says that it ran over. */
const MAX_ERRORS = 30
/** Bits of the event status register. Source: IEEE 488.2, 11.5.1.1 (from memory). */
const BIT = { operationComplete: 1, query: 4, execution: 16, command: 32, powerOn: 128 } as const
const ERROR_QUEUE_BIT = 4
const MESSAGE_BIT = 16
const EVENT_BIT = 32

/** Error queue and status registers of one line to an instrument. */
export class StatusRegisters {
  private readonly errors: string[] = []
  private events: number = BIT.powerOn
  private eventMask = 0
  private serviceMask = 0

  add(code: ScpiErrorCode): void {
    const text = SCPI_ERRORS[code]
    const byClass = new Map([
      ['-1', BIT.command],
      ['-4', BIT.query],
    ])
    this.events |= byClass.get(text.slice(0, 2)) ?? BIT.execution
    if (this.errors.length < MAX_ERRORS) this.errors.push(text)
    else this.errors[MAX_ERRORS - 1] = SCPI_ERRORS['queue-overflow']
  }

  next(): string {
    return this.errors.shift() ?? SCPI_ERRORS.none
  }

  get count(): number {
    return this.errors.length
  }

  complete(): void {
    this.events |= BIT.operationComplete
  }

  clear(): void {
    this.errors.length = 0
    this.events = 0
  }

  takeEvents(): number {
    const value = this.events
    this.events = 0
    return value
  }

  /** @param messageWaiting an answer lies ready */
  statusByte(messageWaiting: boolean): number {
    const byte =
      (this.errors.length > 0 ? ERROR_QUEUE_BIT : 0) |
      (messageWaiting ? MESSAGE_BIT : 0) |
      ((this.events & this.eventMask) !== 0 ? EVENT_BIT : 0)
    return byte | ((byte & this.serviceMask) !== 0 ? 64 : 0)
  }

  set masks({ event, service }: { event?: number; service?: number }) {
    this.eventMask = event ?? this.eventMask
    this.serviceMask = service ?? this.serviceMask
  }

  get masks(): { event: number; service: number } {
    return { event: this.eventMask, service: this.serviceMask }
  }
}
