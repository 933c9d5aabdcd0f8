import { expect, it } from 'vitest'
import { unmovedWords } from './unmovedWords'

const reading = { id: 'r', quantity: 'carrierHz', value: 27_791_410, standardUncertainty: null } as const

it('what stayed stands with its figure, and what looks like the one that was turned', () => {
  const seen = {
    designator: 'CT3',
    isReturned: false,
    reading: { ...reading, source: 'typed', instrument: '' } as const,
  }
  expect(unmovedWords({ ...seen, twins: ['CT2'] })).toMatch(
    /^Transmit frequency stayed at 27\.791.41.MHz although CT3 was turned: .* beside it: CT2\. Turn it back/,
  )
  expect(unmovedWords({ ...seen, isReturned: true, twins: ['CT2'] })).toMatch(/CT2\.$/)
  expect(unmovedWords({ ...seen, twins: [] })).not.toContain('same kind')
})
