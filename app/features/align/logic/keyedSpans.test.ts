import { describe, expect, it } from 'vitest'
import { newKeyedSpans, type KeyedSpan } from './keyedSpans'

function screen() {
  const spans: KeyedSpan[] = []
  return { spans, ...newKeyedSpans(s => spans.push(s)) }
}

describe('seconds keyed, as they are kept', () => {
  it('two screens of one key-down keep the same span, whatever each learnt of the key line and when', () => {
    const [near, far] = [screen(), screen()]
    near.any(true, 990)
    for (const s of [near, far]) {
      s.live(true, 1100)
      s.any(true, 1100)
    }
    near.any(false, 2480)
    for (const s of [near, far]) {
      s.live(false, 2600)
      s.any(false, 2600)
    }
    expect(near.spans).toEqual([{ fromMs: 1100, untilMs: 2600 }])
    expect(far.spans).toEqual(near.spans)
  })
  it('without any reading the key line or the hand tell it', () => {
    const s = screen()
    s.any(true, 1000)
    s.live(false, 1500)
    s.any(false, 4000)
    expect(s.spans).toEqual([{ fromMs: 1000, untilMs: 4000 }])
  })
  it('the next key-down is its own, a touch is none', () => {
    const s = screen()
    s.any(true, 0)
    s.live(true, 100)
    s.live(false, 900)
    s.any(false, 900)
    s.any(true, 5000)
    s.any(false, 5200)
    s.any(true, 6000)
    s.any(false, 9000)
    expect(s.spans).toEqual([
      { fromMs: 100, untilMs: 900 },
      { fromMs: 6000, untilMs: 9000 },
    ])
  })
})
