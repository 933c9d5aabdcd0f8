import { describe, expect, it } from 'vitest'
import { DEFAULT_OPTIONS, measureRecording } from '../signal'
import { bytesSource, openRecording, previewScopeCsv } from './'
import { text, none, refusal } from '../../test/fixtures/recordings'

describe('tables of an oscilloscope', () => {
  const withComma = (x: number) => x.toFixed(4).replace('.', ',')
  const rows = (n: number, line: (t: number, v: number) => string) =>
    Array.from({ length: n }, (_, k) => line(k * 1e-5, 0.3 * Math.sin(2 * Math.PI * 1000 * k * 1e-5))).join(
      '\n',
    )
  it.each<[string, string]>([
    [
      'commas and a unit line',
      `Model,X1\nSource,CH1\nTime,CH1\n(s),(V)\n${rows(2000, (t, v) => `${t},${v}`)}`,
    ],
    [
      'semicolons, decimal commas, milliseconds, millivolts',
      `Zeit (ms);CH1 (mV)\n${rows(2000, (t, v) => [t, v].map(x => withComma(1e3 * x)).join(';'))}`,
    ],
    ['tabs without any header', rows(2000, (t, v) => `${t.toExponential(6)}\t${v.toFixed(6)}`)],
  ])('%s', async (_name, content) => {
    const preview = await previewScopeCsv(bytesSource('a.csv', text(content)))
    expect(preview.sampleRateHz / 1e5).toBeCloseTo(1, 2)
    const r = await openRecording(bytesSource('a.csv', text(content)), none)
    expect([r.kind, r.sampleCount]).toEqual(['audio', 2000])
    expect((await r.read(25, 1)).i[0]).toBeCloseTo(0.3, 3)
    expect((await measureRecording(r, DEFAULT_OPTIONS)).measurement.audio!.fundamentalHz).toBeCloseTo(1000, 0)
  })
  it('two columns of voltage are I and Q', async () => {
    const content = `t,i,q\n${rows(2000, (t, v) => `${t},${v},${-v}`)}`
    expect((await openRecording(bytesSource('a.csv', text(content)), none)).kind).toBe('iq')
  })
  it.each([
    ['no table', 'hello\nworld\n', /no rows of time and voltage/],
    ['a hole', `${rows(500, (t, v) => `${t},${v}`)}\n0.5,1\n0.50001,1`, /samples are missing/],
    ['a word among numbers', `${rows(50, (t, v) => `${t},${v}`)}\n5,oops`, /line 51: "5,oops" is not a row/],
  ])('%s is refused by field', async (_name, content, words) => {
    expect(await refusal(openRecording(bytesSource('a.csv', text(content)), none))).toMatch(words)
  })
})
