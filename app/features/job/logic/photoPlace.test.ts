import { describe, expect, it } from 'vitest'
import { arrowPoints, fitted } from './photoPlace'

describe('a photo on its stage', () => {
  it('fits the width or the height, whichever ends first, and swaps its sides when it lies', () => {
    expect(fitted({ width: 2000, height: 1000, rotation: 0 }, 1000, 800)).toEqual({
      width: 1000,
      height: 500,
      stageWidth: 1000,
      stageHeight: 500,
    })
    expect(fitted({ width: 2000, height: 1000, rotation: 90 }, 1000, 800)).toEqual({
      width: 800,
      height: 400,
      stageWidth: 400,
      stageHeight: 800,
    })
  })
  it('places arrows by ratios, so that they stay where they point', () => {
    expect(arrowPoints({ x1: 0.1, y1: 0.2, x2: 0.5, y2: 1 }, { width: 200, height: 100 })).toEqual([
      20, 20, 100, 100,
    ])
  })
})
