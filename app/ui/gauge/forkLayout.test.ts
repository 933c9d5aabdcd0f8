import { describe, expect, it } from 'vitest'
import { forkLayout } from './forkLayout'

const VALUES = { low: 3, high: 4, aim: 3.5, asFound: 2.5, now: 3.9, bound: null, signed: false }

describe('The layout of a fork gauge', () => {
  it('holds window, limits and values in the order of their size', () => {
    const { window, edges, x, width } = forkLayout(VALUES, false)
    expect(edges).toHaveLength(2)
    expect(window).toEqual({ x: edges[0], width: edges[1]! - edges[0]! })
    const inOrder = [0, x(2.5), edges[0]!, x(3.5), x(3.9), edges[1]!, width]
    expect(inOrder).toEqual([...inOrder].sort((a, b) => a - b))
  })

  it('is open to the side that has no limit', () => {
    const { window, edges, x, scale } = forkLayout({ ...VALUES, low: null }, false)
    expect(edges).toEqual([x(4)])
    expect(window!.x).toBe(x(scale!.min))
  })

  it('shows no window where there is no limit', () =>
    expect(forkLayout({ ...VALUES, low: null, high: null }, false)).toMatchObject({
      window: null,
      edges: [],
    }))

  it('leaves out a label that would run into that of the present value', () => {
    expect(forkLayout(VALUES, false).labelClash).toBe(false)
    expect(forkLayout({ ...VALUES, asFound: 3.85 }, false).labelClash).toBe(true)
    expect(forkLayout({ ...VALUES, now: 3.52 }, false).aimClash).toBe(true)
    expect(forkLayout({ ...VALUES, now: null, asFound: null }, false).aimClash).toBe(false)
  })

  it('keeps labels inside the drawing', () => {
    const { anchored, scale, width } = forkLayout(VALUES, false)
    expect(anchored(scale!.min).anchor).toBe('start')
    expect(anchored(scale!.max).anchor).toBe('end')
    expect(anchored(scale!.max).x).toBeLessThan(width)
    expect(anchored((scale!.min + scale!.max) / 2).anchor).toBe('middle')
  })
})
