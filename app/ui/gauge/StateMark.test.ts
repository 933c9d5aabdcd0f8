import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import type { Mark } from '#shared/words/verdictWords'
import StateMark from './StateMark.vue'

const MARKS: readonly Mark[] = [
  'inside',
  'above',
  'below',
  'cannot-tell',
  'stale',
  'none',
  'partial',
  'skipped',
]
const drawn = (mark: Mark) => mount(StateMark, { props: { mark } })

describe('StateMark', () => {
  it('tells every state by a shape of its own, whatever the colour', () => {
    const shapes = MARKS.map(m =>
      drawn(m)
        .get('svg > *')
        .html()
        .replaceAll(/(fill|stroke)="[^"]*"/g, ''),
    )
    expect(new Set(shapes).size).toBe(MARKS.length)
  })
  it('tells every state in words of its own to a reader of the screen', () => {
    expect(new Set(MARKS.map(m => drawn(m).attributes('aria-label'))).size).toBe(MARKS.length)
  })
})
