import { useLocalStorage } from '@vueuse/core'
import { $api } from '~/data/api'
import { defineStore } from 'pinia'
import { ref, shallowRef } from 'vue'
import type { Quantity } from '#core/quantity'
import type { Instrument, InstrumentBody, OwnProfile } from '#shared/instrument'
import type { InstrumentAnswer } from '#shared/instrumentCommands'
import { failureOf, type Failure } from '~/data/failureWords'
import type { MeterScale } from '#core/diagnose'
import {
  onScale,
  typedInstruments,
  typedItem,
  usualInstrument,
  type TypedInstrument,
} from '~/features/align/logic/typedInstrument'

const LAST_CHOICE = 'diapason.typed-with'
const LAST_SCALE = 'diapason.typed-scale'

/** The instruments of the bench, and with which one each quantity was last typed. */
export const useInstrumentsStore = defineStore('instruments', () => {
  const items = shallowRef<Instrument[] | null>(null)
  const failure = ref<Failure | null>(null)
  const lastTypedWith = useLocalStorage<Record<string, string>>(LAST_CHOICE, {})
  /** the scale on which each meter was last read, as it is written on it */
  const lastScale = useLocalStorage<Record<string, number>>(LAST_SCALE, {})

  async function load() {
    try {
      items.value = await $api<Instrument[]>('/api/instruments')
      failure.value = null
    } catch (error) {
      failure.value = failureOf(error)
    }
  }

  async function attempt(work: () => Promise<unknown>): Promise<Failure | null> {
    try {
      await work()
      await load()
      return null
    } catch (error) {
      const refused = failureOf(error)
      // What somebody else changed meanwhile is to be seen beside what is still in the form.
      if (refused.code === 'changed-meanwhile') await load()
      return refused
    }
  }

  const add = (body: InstrumentBody) => attempt(() => $api('/api/instruments', { method: 'POST', body }))
  const saveProfile = ({ id, version }: Instrument, ownProfile: OwnProfile | null) =>
    attempt(() => $api(`/api/instruments/${id}/profile`, { method: 'PUT', body: { ownProfile, version } }))
  /** A line as typed, with what came back. */
  async function ask(
    id: string,
    text: string,
  ): Promise<{ asked: InstrumentAnswer | null; failure: Failure | null }> {
    try {
      return {
        asked: await $api<InstrumentAnswer>(`/api/instruments/${id}/ask`, {
          method: 'POST',
          body: { text },
        }),
        failure: null,
      }
    } catch (error) {
      return { asked: null, failure: failureOf(error) }
    }
  }
  const change = ({ id, version }: Instrument, body: InstrumentBody) =>
    attempt(() => $api(`/api/instruments/${id}`, { method: 'PUT', body: { ...body, version } }))
  const remove = (id: string) => attempt(() => $api(`/api/instruments/${id}`, { method: 'DELETE' }))

  function optionsFor(quantity: Quantity): TypedInstrument[] {
    return typedInstruments(items.value ?? [], quantity)
  }

  /**
   * Scale of an instrument by its name on the bench: full scale where its class is one of full scale, and its
   * division.
   */
  function meterOf(name: string, quantity: Quantity): MeterScale | null {
    const item = typedItem(quantity, optionsFor(quantity).find(o => o.name === name) ?? null)
    if (!item) return null
    return {
      fullScale: item.accuracy.ofFullScale ? (item.accuracy.fullScale ?? null) : null,
      tick: item.tick ?? null,
    }
  }

  function typedWith(quantity: Quantity): TypedInstrument | null {
    const chosen = usualInstrument(optionsFor(quantity), lastTypedWith.value[quantity])
    return chosen ? onScale(chosen, lastScale.value[chosen.name] ?? null) : null
  }

  /** @param fullScale the scale it is read on; undefined = as last time */
  function chooseTypedWith(quantity: Quantity, name: string, fullScale?: number) {
    if (fullScale !== undefined) lastScale.value = { ...lastScale.value, [name]: fullScale }
    lastTypedWith.value = { ...lastTypedWith.value, [quantity]: name }
  }

  return {
    saveProfile,
    ask,
    items,
    failure,
    load,
    add,
    change,
    remove,
    optionsFor,
    meterOf,
    typedWith,
    chooseTypedWith,
  }
})
