import { number, string } from '#shared/yup'
import { closed, figure, list, named, orNothing } from './fields'

/** Oscillators of a set, and how they add up to what is read. */
export const scheme = closed({
  baseHz: figure('form.base'),
  stepHz: number().label('form.step').positive().required(),
  oscillators: list(
    closed({
      id: named('common.oscillator', 30),
      name: named('common.name'),
      nominalHz: number().label('form.nominal').positive().max(3e9).required(),
      adjuster: orNothing('common.adjuster', 14),
      priorPpm: number().label('form.spread').positive().max(1e5).required(),
    }).required(),
    30,
  ),
  frequencies: list(
    closed({
      id: named('common.frequency', 30),
      name: named('common.name'),
      quantity: string().nullable().defined(),
      mode: string().nullable().defined(),
      terms: list(
        closed({
          oscillator: named('common.oscillator', 30),
          factor: figure('form.factor'),
          stepFactor: figure('form.factorOfTheStep'),
        }).required(),
        12,
      ),
    }).required(),
    60,
  ),
})
