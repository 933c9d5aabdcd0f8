import { CoreError } from '#core/errors'
import { BOUNDS, QUANTITY_NAMES, SPREADS, checkRange, type Quantity } from '#core/quantity'
import { errorWords } from '#shared/words/messageWords'
import { number, object, string, uuid } from '#shared/yup'
import { UNKNOWN_FIELD } from './unknownField'

/** One reading, as rows and trials carry it. */
export const reading = object({
  id: uuid(),
  quantity: string().label('common.quantity').oneOf(QUANTITY_NAMES).required(),
  value: number()
    .label('form.value')
    .required()
    .test('in-range', (value, context) => {
      const { quantity } = context.parent as { quantity: Quantity }
      // An unknown quantity is refused by its own name.
      if (!QUANTITY_NAMES.includes(quantity)) return true
      try {
        checkRange(value, quantity)
        return true
      } catch (error) {
        if (!(error instanceof CoreError)) throw error
        return context.createError({ message: errorWords(error) })
      }
    }),
  standardUncertainty: number().min(0).max(1e12).nullable().defined(),
  source: string().oneOf(['instrument', 'typed']).required(),
  instrument: string().max(100).nullable().defined(),
  bound: string().oneOf(BOUNDS).optional(),
  spread: string().oneOf(SPREADS).optional(),
  fullScale: number().positive().max(1e12).optional(),
}).noUnknown(true, UNKNOWN_FIELD)
