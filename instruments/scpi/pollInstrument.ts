import { boundToStandard, errorBound } from '#core/quantity'
import { scpiNumber, type InstrumentProfile, type ProfileQuantity } from '#core/instrument'
import { CoreError } from '#core/errors'
import type { LiveReading } from '#shared/live'
import type { ScpiConnection } from './scpiConnection'

/** One round: every quantity of the profile, in order. @throws {ScpiError} when the connection fails */
export async function pollInstrument(
  connection: ScpiConnection,
  profile: InstrumentProfile,
  timeoutMs: number,
): Promise<{ readings: LiveReading[]; receivedAtMs: number }> {
  const readings: LiveReading[] = []
  let receivedAtMs = 0
  for (const item of profile.quantities) {
    if (item.query === null) continue
    const answer = await connection.query(item.query, timeoutMs)
    receivedAtMs = answer.receivedAtMs
    readings.push(toReading(item, answer.text))
  }
  return { readings, receivedAtMs }
}

/** An answer that is no number is shown as garbled, never as a value. */
function toReading(item: ProfileQuantity, text: string): LiveReading {
  const { quantity } = item
  try {
    const answer = scpiNumber(text)
    if (answer.status !== 'ok')
      return { quantity, status: answer.status, value: null, standardUncertainty: null }
    const value = answer.value * item.toSi
    return {
      quantity,
      status: 'ok',
      value,
      standardUncertainty: boundToStandard(errorBound(value, item.accuracy)),
    }
  } catch (error) {
    if (!(error instanceof CoreError)) throw error
    return { quantity, status: 'garbled', value: null, standardUncertainty: null }
  }
}
