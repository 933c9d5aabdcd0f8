import { describe, expect, it } from 'vitest'
import { amSignal, fmSignal, lineSignal, recordingOf, withNoise } from '../../../../../test/fixtures/signals'
import { emissionMask, ruleSet } from '#core/rules'
import { DEFAULT_OPTIONS, judgeSignal, measureRecording } from '#core/signal'
import { figureLines } from '#shared/words/figureLines'
import { verdictLine } from '#shared/words/signalWords'
import { packRecording, recordingsIn } from '../packRecording'
import { pictureCsv, picturesOf } from './signalPictures'

const INKS = { ink: '#000', ink2: '#444', accent: '#00a', out: '#a00', win: '#cfc', line: '#ccc' }
const measured = (made: ReturnType<typeof amSignal>, as: 'am' | 'fm' | 'ssb') =>
  measureRecording(recordingOf(withNoise(made, 60)), { ...DEFAULT_OPTIONS, as })
const pictures = (
  a: Awaited<ReturnType<typeof measured>>,
  b: Awaited<ReturnType<typeof measured>> | null = null,
) =>
  picturesOf(
    a.pictures,
    b?.pictures ?? null,
    ['first', 'second'],
    emissionMask(ruleSet('R-US').mask, 'AM', 4),
    10_000,
    INKS,
  )

describe('pictures', () => {
  it(
    'of AM: envelope with its marks, spectrum with raster and mask, ' +
      'channels, histogram, drift; two on the same axes',
    async () => {
      const all = pictures(
        await measured(amSignal({ depth: 1.2, rateHz: 96_000 }), 'am'),
        await measured(amSignal({ depth: 0.8, rateHz: 96_000, toneHz: 400 }), 'am'),
      )
      expect(all.map(p => p.id)).toEqual(['cycle', 'spectrum', 'channels', 'histogram', 'drift'])
      expect(all[0]!.traces).toHaveLength(2)
      expect(all[1]!.traces.some(t => t.name === 'mask')).toBe(true)
      for (const picture of all)
        for (const t of picture.traces) expect((t.x as unknown[]).length).toBe((t.y as unknown[]).length)
    },
  )
  it('cycles begin at their troughs, so that two lie on each other', async () => {
    const [cycle] = pictures(await measured(amSignal({ depth: 0.8 }), 'am'))
    const y = cycle!.traces[0]!.y as number[]
    expect(Math.min(...y)).toBeCloseTo(y[0]!, 0)
  })
  it('of FM and of two tones have their own', async () => {
    expect(pictures(await measured(fmSignal(2000, 1000), 'fm'))[0]!.title).toMatch(/Deviation/)
    expect(
      pictures(
        await measured(
          lineSignal([
            [3700, 0.2],
            [4900, 0.2],
          ]),
          'ssb',
        ),
      ).map(p => p.id),
    ).toContain('products')
  })
  it('go out as numbers', async () => {
    const csv = pictureCsv(pictures(await measured(amSignal({ depth: 0.5 }), 'am'))[0]!)
    expect(csv.split('\r\n')[0]).toBe('series,x,y')
    expect(csv.split('\r\n').length).toBeGreaterThan(2000)
  })
})

describe('words', () => {
  it('lead with what is gravest, and say where the power lands', async () => {
    const { measurement } = await measured(
      amSignal({ depth: 1.5, toneHz: 2500, rateHz: 96_000, offsetHz: 5010 }),
      'am',
    )
    const sentences = verdictLine(judgeSignal(measurement, ruleSet('R-US'), 4)).split(/(?<=\.) /)
    expect(sentences).toEqual([
      expect.stringMatching(/^Over-modulated: carrier cut off 26\.\d % of the time\.$/),
      expect.stringMatching(/^0\.\d+ % of the power is in the adjacent channels\.$/),
    ])
    expect(figureLines(measurement).map(l => l.label)).toEqual(
      expect.arrayContaining([
        'Carrier cut-off',
        'PEP over carrier',
        'Distortion',
        'Occupied bandwidth, 99 %',
      ]),
    )
  })
})

describe('what a wattmeter would show', () => {
  it(
    'is counted from the bare carrier, its shift included: m ' +
      '= 1.40 on 4 W reads 1.9592 times that (C02)',
    async () => {
      const { measurement } = await measured(amSignal({ depth: 1.4, bareS: 0.3, seconds: 1.2 }), 'am')
      const shown = Number.parseFloat(
        figureLines(measurement, 4).find(l => l.label === 'Expected average power')!.value,
      )
      expect(shown).toBeCloseTo(4 * 1.9592, 1)
    },
  )
  it('is left out when the carrier power was not told', async () => {
    expect(
      figureLines((await measured(amSignal({ depth: 0.5 }), 'am')).measurement).map(l => l.label),
    ).not.toContain('Expected average power')
  })
})

describe('files', () => {
  it('that belong together are one recording, and are kept as one', async () => {
    const files = [
      new File(['{}'], 'a.sigmf-meta'),
      new File(['xx'], 'b.wav'),
      new File(['data'], 'a.sigmf-data'),
    ]
    expect(recordingsIn(files).map(g => g.map(f => f.name))).toEqual([
      ['a.sigmf-meta', 'a.sigmf-data'],
      ['b.wav'],
    ])
    const packed = packRecording(recordingsIn(files)[0]!)
    expect([packed.name, packed.size % 512]).toEqual(['a.sigmf', 0])
    expect(packRecording([files[1]!])).toBe(files[1])
  })
})
