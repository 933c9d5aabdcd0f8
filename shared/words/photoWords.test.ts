import { describe, expect, it } from 'vitest'
import type { JobEvent } from '#core/run'
import { modelSheet } from '#core/sheet'
import { photoAboutWords } from './photoWords'

const AM = modelSheet('osmund-40a')
const id = '70000000-0000-4000-8000-000000000001'
const changed: JobEvent = {
  id,
  atMs: 1,
  kind: 'part-changed',
  designator: 'Q12',
  partOut: '',
  partIn: '2SC1969',
  isFinal: true,
  text: '',
}

describe('what a photo shows', () => {
  it.each([
    ['', ''],
    ['back of the set', 'back of the set'],
    ['positions', 'Starting positions'],
    ['item:I33', 'Modulation limiter parts'],
    ['item:I99', ''],
    [`work:${id}`, 'Part replaced: Q12'],
    ['work:struck-out', ''],
  ])('"%s" stands on paper as "%s"', (about, words) => {
    expect(photoAboutWords(about, AM, [changed])).toBe(words)
  })
})
