import { describe, expect, it } from 'vitest'
import { coloured } from './coloured'

describe('a picture that is drawn', () => {
  it('has the colours of the theme wherever it names one, and nothing else is touched', () => {
    const y = Float64Array.of(1, 2)
    const picture = {
      traces: [{ y, name: 'var(--accent) is no colour here', line: { color: 'var(--accent)', width: 2 } }],
      shapes: [{ fillcolor: 'var(--win)', x0: null }],
    }
    const drawn = coloured(picture, name => `<${name}>`) as typeof picture
    expect(drawn.traces[0]).toEqual({
      y,
      name: 'var(--accent) is no colour here',
      line: { color: '<--accent>', width: 2 },
    })
    expect(drawn.traces[0]!.y).toBe(y)
    expect(drawn.shapes).toEqual([{ fillcolor: '<--win>', x0: null }])
  })
})
