import { array, number, string } from '#shared/yup'
import { MAX_CHANNELS_OF_A_SET } from '#core/rules'
import { closed, list, mode, oneOfKinds } from './fields'

/** Beyond what any set of the bench sends or receives [Hz]. */
const MAX_HZ = 3e9
const MAX_BANDS = 40
const frequency = () => number().label('common.frequency').positive().max(MAX_HZ).required()

const CHANNELS = {
  raster: {
    firstHz: frequency(),
    lastHz: frequency(),
    stepHz: frequency(),
    leftOutHz: list(frequency(), MAX_CHANNELS_OF_A_SET),
  },
  list: { frequenciesHz: list(frequency(), MAX_CHANNELS_OF_A_SET) },
}

/** Bands of a channel plan of one's own. */
export const planBands = () =>
  array(
    closed({
      name: string().label('common.name').max(20).defined(),
      channels: oneOfKinds('form.channels', CHANNELS),
      edgesHz: closed({ low: frequency(), high: frequency() }).nullable().defined(),
      modes: list(mode(), 8),
      receiveOffsetHz: number().label('form.receiveOffset').min(-MAX_HZ).max(MAX_HZ).required(),
      ruleSetId: string().label('common.ruleSet').max(20).optional(),
    }).required(),
  ).max(MAX_BANDS)
