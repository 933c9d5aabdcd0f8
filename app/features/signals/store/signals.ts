import type { OpenRecording } from '../logic/openRecording'
import { $api, $apiFile } from '~/data/api'
import { defineStore } from 'pinia'
import { v4 as uuid } from 'uuid'
import { computed, readonly, ref, shallowRef } from 'vue'
import { RECORDING_CHUNK_BYTES, type KeptOptions, type KeptRecording } from '#shared/recording'
import { failureOf, type Failure } from '~/data/failureWords'

/** A carrier whose envelope varies less is taken for one without modulation [ratio]. */
const BARE_DEPTH = 0.02
const REMEMBERED = 'signal-options'
const FIRST: KeptOptions = {
  as: 'auto',
  nominalHz: null,
  toneHz: null,
  spacingHz: 10_000,
  channelWidthHz: null,
  unmodulatedDbfs: null,
  carrierW: null,
  referencePpm: null,
  ruleSetId: 'R-EU',
}

/** Recordings that are open, the one looked at and the one it is compared with; what is kept of them. */
export const useSignalsStore = defineStore('signals', () => {
  const open = shallowRef<OpenRecording[]>([])
  const shownKey = ref<string | null>(null)
  const againstKey = ref<string | null>(null)
  const options = ref<KeptOptions>({ ...FIRST })
  const kept = shallowRef<KeptRecording[]>([])
  const failure = ref<Failure | null>(null)
  const sending = ref<number | null>(null)
  const shown = computed(() => open.value.find(r => r.key === shownKey.value) ?? null)
  const against = computed(
    () => open.value.find(r => r.key === againstKey.value && r.key !== shownKey.value) ?? null,
  )

  /**
   * An open recording of nothing but the carrier, through the receiver of the one that is shown as far as
   * rate and tuning tell.
   */
  const unmodulated = computed(() => {
    const m = shown.value?.measured.measurement
    const found = open.value.find(r => {
      const other = r.measured.measurement
      return (
        r.key !== shownKey.value &&
        other.am !== null &&
        other.am.depthNegative < BARE_DEPTH &&
        other.sampleRateHz === m?.sampleRateHz &&
        other.centreHz === m?.centreHz
      )
    })
    return found
      ? { name: found.name, dbfs: Number(found.measured.measurement.carrier!.levelDbfs.toFixed(3)) }
      : null
  })

  function recall() {
    try {
      options.value = {
        ...FIRST,
        ...(JSON.parse(localStorage.getItem(REMEMBERED) ?? '{}') as Partial<KeptOptions>),
      }
    } catch {
      options.value = { ...FIRST }
    }
  }
  function remember(next: KeptOptions) {
    // A level holds for one recording: the next one may come at another gain.
    options.value = { ...next, unmodulatedDbfs: null }
    localStorage.setItem(REMEMBERED, JSON.stringify(options.value))
  }
  function put(recording: Omit<OpenRecording, 'key'>, key: string = uuid()) {
    open.value = [...open.value.filter(r => r.key !== key), { ...recording, key }]
    shownKey.value = key
  }
  function show(key: string) {
    shownKey.value = key
  }
  /** Beside the one that is shown, or no longer. */
  function compare(key: string) {
    againstKey.value = againstKey.value === key ? null : key
  }
  function close(key: string) {
    open.value = open.value.filter(r => r.key !== key)
    if (shownKey.value === key) shownKey.value = open.value.at(-1)?.key ?? null
    if (againstKey.value === key) againstKey.value = null
  }

  async function load(jobId: string | null = null) {
    kept.value = await $api<KeptRecording[]>('/api/recordings', {
      query: jobId ? { jobId } : {},
    }).catch(() => kept.value)
  }

  /** The bytes of a recording that is kept, as the file it was. */
  async function fetchKept(id: string): Promise<{ kept: KeptRecording; file: File } | null> {
    try {
      const found = await $api<KeptRecording>(`/api/recordings/${id}`)
      const { bytes } = await $apiFile(`/api/recordings/${id}/data`)
      failure.value = null
      return { kept: found, file: new File([bytes], found.name) }
    } catch (error) {
      failure.value = failureOf(error)
      return null
    }
  }

  /** Keeps a recording with its figures, piece by piece. @returns what is kept, or null after a failure */
  async function keep(
    recording: OpenRecording,
    file: File,
    where: { jobId: string | null; phase: string; pointId: string },
  ): Promise<KeptRecording | null> {
    const id = uuid()
    sending.value = 0
    try {
      await $api('/api/recordings', {
        method: 'POST',
        body: {
          id,
          ...where,
          name: file.name.slice(-200),
          bytes: file.size,
          options: recording.options,
          measurement: plain(recording.measured.measurement),
        },
      })
      for (let ordinal = 0; ordinal * RECORDING_CHUNK_BYTES < file.size; ordinal++) {
        await $api(`/api/recordings/${id}/chunks/${ordinal}`, {
          method: 'PUT',
          body: file.slice(ordinal * RECORDING_CHUNK_BYTES, (ordinal + 1) * RECORDING_CHUNK_BYTES),
          repeatable: true,
        })
        sending.value = Math.min(1, ((ordinal + 1) * RECORDING_CHUNK_BYTES) / file.size)
      }
      const done = await $api<KeptRecording>(`/api/recordings/${id}/finish`, {
        method: 'POST',
        body: {},
        repeatable: true,
      })
      open.value = open.value.map(r => (r.key === recording.key ? { ...r, kept: done } : r))
      failure.value = null
      return done
    } catch (error) {
      failure.value = failureOf(error)
      return null
    } finally {
      sending.value = null
    }
  }

  return {
    open,
    shown,
    shownKey: readonly(shownKey),
    show,
    unmodulated,
    against,
    againstKey: readonly(againstKey),
    compare,
    options,
    kept,
    failure,
    sending,
    recall,
    remember,
    put,
    close,
    load,
    fetchKept,
    keep,
  }
})

/** Numbers that JSON cannot carry are none. */
function plain(value: unknown): unknown {
  return JSON.parse(
    JSON.stringify(value, (_k, v: unknown) => (typeof v === 'number' && !Number.isFinite(v) ? null : v)),
  )
}
