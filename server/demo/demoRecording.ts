import { wordedNotes } from '#shared/words/messageWords'
import { createHash, randomUUID } from 'node:crypto'
import { bytesSource, openRecording, packTar, writeSigmf } from '#core/recording'
import { channelHz, channelPlan } from '#core/rules'
import { DEFAULT_OPTIONS, measureRecording } from '#core/signal'
import { RECORDING_CHUNK_BYTES, type KeptOptions } from '#shared/recording'
import { inTransaction, pool } from '../db/pool'
import { completeRecording, insertRecording, insertRecordingChunk } from '../db/queries/recording'

/**
 * How the AM mobile sounded when it came in: low in frequency, its tone past full depth. Invented, for the
 * demo only.
 */
const MADE = {
  channel: 19,
  errorHz: -245,
  depth: 1.25,
  toneHz: 1000,
  rateHz: 96_000,
  seconds: 1,
  tunedBelowHz: 5000,
  size: 0.3,
  bareS: 0.25,
} as const
const NAME = 'tone-as-found.sigmf'

/** A recording of a job, measured and kept as the page would. */
export async function loadDemoRecording(jobNumber: number): Promise<void> {
  const {
    rows: [job],
  } = await pool.query<{ id: string }>('select id from job where number = $1', [jobNumber])
  const archive = made()
  const recording = await openRecording(bytesSource(NAME, archive), async () => null)
  const options: KeptOptions = {
    as: 'am',
    nominalHz: channelHz(channelPlan('forty'), MADE.channel),
    toneHz: null,
    spacingHz: 10_000,
    channelWidthHz: null,
    unmodulatedDbfs: null,
    carrierW: 3.9,
    referencePpm: null,
    ruleSetId: 'R-EU',
  }
  const { measurement } = await measureRecording(recording, {
    ...DEFAULT_OPTIONS,
    as: 'am',
    nominalHz: options.nominalHz,
    carrierW: options.carrierW,
  })
  const id = randomUUID()
  await inTransaction(async db => {
    await insertRecording(db, {
      id,
      jobId: job!.id,
      name: NAME,
      bytes: archive.length,
      options,
      measurement: { ...measurement, notes: wordedNotes(measurement.notes) },
      phase: 'as-found',
      pointId: '',
    })
    for (let ordinal = 0; ordinal * RECORDING_CHUNK_BYTES < archive.length; ordinal++)
      await insertRecordingChunk(
        db,
        id,
        ordinal,
        Buffer.from(archive.subarray(ordinal * RECORDING_CHUNK_BYTES, (ordinal + 1) * RECORDING_CHUNK_BYTES)),
      )
    await completeRecording(db, id, createHash('sha256').update(archive).digest('hex'))
  })
}

function made(): Uint8Array {
  const { rateHz, seconds, depth, toneHz, errorHz, tunedBelowHz, size, bareS } = MADE
  const n = rateHz * seconds
  const [i, q] = [new Float32Array(n), new Float32Array(n)]
  for (let k = 0; k < n; k++) {
    const t = k / rateHz
    const envelope = size * (t < bareS ? 1 : Math.max(0, 1 + depth * Math.sin(2 * Math.PI * toneHz * t)))
    const angle = 2 * Math.PI * (tunedBelowHz + errorHz) * t
    // A receiver is never without noise: two cheap sequences of it, the same every time.
    i[k] = envelope * Math.cos(angle) + 2e-4 * Math.sin(k * k * 0.731)
    q[k] = envelope * Math.sin(angle) + 2e-4 * Math.sin(k * k * 1.137)
  }
  const { meta, data } = writeSigmf({
    i,
    q,
    sampleRateHz: rateHz,
    centreHz: channelHz(channelPlan('forty'), MADE.channel) - tunedBelowHz,
    description: 'tone, as found',
    annotations: [],
  })
  const text = new TextEncoder().encode(meta)
  return Buffer.concat(
    packTar<Uint8Array>([
      { name: 'tone-as-found.sigmf-meta', size: text.length, content: text },
      { name: 'tone-as-found.sigmf-data', size: data.length, content: data },
    ]),
  )
}
