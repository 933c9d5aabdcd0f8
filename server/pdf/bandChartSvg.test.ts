import { describe, expect, it } from 'vitest'
import { bandChartSvg } from './bandChartSvg'

const line = (values: number[], bound = 0.1) => ({
  channels: [1, 20, 40].slice(0, values.length),
  values,
  bounds: values.map(() => bound),
})
const chart = (before: number[], after: number[], window: { low: number; high: number } | null = null) => ({
  title: 'Power, high',
  unit: 'W',
  axis: { title: 'channel' as const, ticks: null, joined: true },
  before: line(before),
  after: line(after),
  window,
})

describe('band picture on paper', () => {
  it('has a mark for every reading, hollow before and filled after, inside the frame', () => {
    const svg = bandChartSvg(chart([2.1, 2.8, 2.4], [3.8, 3.9, 3.85], { low: 3.6, high: 4 }))!
    expect(svg.match(/<circle/g)).toHaveLength(6)
    expect(svg.match(/fill="#ffffff"/g)).toHaveLength(3)
    for (const [, y] of svg.matchAll(/cy="([\d.]+)"/g)) expect(Number(y)).toBeGreaterThan(0)
    for (const [, y] of svg.matchAll(/cy="([\d.]+)"/g)) expect(Number(y)).toBeLessThan(100)
  })
  it('bands have names and no line between them', () => {
    const bands = {
      ...chart([100, 110, 90], [118, 120, 116]),
      axis: {
        title: 'band' as const,
        ticks: [
          { at: 1, label: '80 m' },
          { at: 20, label: '40 m' },
          { at: 40, label: '20 m' },
        ],
        joined: false,
      },
    }
    const svg = bandChartSvg(bands)!
    expect(svg).not.toContain('<polyline')
    expect(svg).toContain('40 m')
  })
  it('is drawn with equal values too, and not at all from one channel', () => {
    expect(bandChartSvg(chart([3.8, 3.8, 3.8], [3.8, 3.8, 3.8]))).toMatch(/<svg/)
    expect(bandChartSvg(chart([0, 0], [0, 0]))).not.toMatch(/NaN|Infinity/)
    expect(bandChartSvg(chart([3.8], []))).toBeNull()
  })
})
