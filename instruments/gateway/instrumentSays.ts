import { CoreError } from '#core/errors'
import { scpiNumber } from '#core/instrument'
import { message, type Message } from '#core/message'
import { ScpiError } from '../scpi/scpiConnection'

/** What went wrong with an instrument, for whoever reads it. */
export function saysOf(error: unknown): Message {
  if (error instanceof CoreError || error instanceof ScpiError) return error.says
  return message('gateway.unforeseen', { what: error instanceof Error ? error.message : String(error) })
}

/** What a raw answer means to this application. */
export function understood(raw: string | null): Message {
  if (raw === null) return message('gateway.noResponse')
  if (raw === '') return message('gateway.sent')
  try {
    const { status, value } = scpiNumber(raw)
    if (status === 'ok') return message('gateway.number', { value: value! })
    return message(status === 'overload' ? 'gateway.overload' : 'common.noSignal')
  } catch {
    return message('gateway.text')
  }
}
