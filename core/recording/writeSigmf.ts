import type { Annotation } from './recording'

/** What is written of a recording as SigMF: complex 32-bit floats, with what was found as annotations. */
export interface SigmfToWrite {
  readonly i: Float32Array
  readonly q: Float32Array
  readonly sampleRateHz: number
  readonly centreHz: number | null
  readonly description: string
  readonly annotations: readonly Annotation[]
}

/** @returns the two parts, metadata as text and data as bytes (cf32_le) */
export function writeSigmf({ i, q, sampleRateHz, centreHz, description, annotations }: SigmfToWrite): {
  meta: string
  data: Uint8Array
} {
  const data = new Uint8Array(i.length * 8)
  const view = new DataView(data.buffer)
  for (let n = 0; n < i.length; n++) {
    view.setFloat32(8 * n, i[n]!, true)
    view.setFloat32(8 * n + 4, q[n] ?? 0, true)
  }
  const meta = {
    global: {
      'core:datatype': 'cf32_le',
      'core:sample_rate': sampleRateHz,
      'core:version': '1.2.0',
      'core:recorder': 'Diapason',
      'core:description': description,
    },
    captures: [{ 'core:sample_start': 0, ...(centreHz === null ? {} : { 'core:frequency': centreHz }) }],
    annotations: annotations.map(a => ({
      'core:sample_start': a.startSample,
      ...(a.sampleCount === null ? {} : { 'core:sample_count': a.sampleCount }),
      'core:label': a.label,
      ...(a.lowHz === null ? {} : { 'core:freq_lower_edge': a.lowHz }),
      ...(a.highHz === null ? {} : { 'core:freq_upper_edge': a.highHz }),
    })),
  }
  return { meta: `${JSON.stringify(meta, null, 2)}\n`, data }
}
