import { describe, expect, it } from 'vitest'
import type { OpenItem } from '#core/run'
import { closedItemLines, openItemLines } from './itemWords'

const item = (id: string, kind: OpenItem['kind'], settled: string | null = null): OpenItem => ({
  id,
  title: `Row ${id}`,
  kind,
  detail: 'not measured',
  settled,
})

describe('open items on paper', () => {
  it('are one line where many are alike, with the name of each', () => {
    const missing = ['1', '2', '3'].map(id => item(id, 'as-left-missing'))
    const inPart = { ...item('5', 'as-left-missing'), detail: 'current not measured' }
    expect(openItemLines([...missing, inPart, item('4', 'question')])).toEqual([
      'Row 4 (question to the owner): not measured',
      'Rows not fully measured as left: 4. Row 1; Row 2; Row 3: not measured. Row 5: current not measured',
    ])
  })
  it('that are closed stand behind their reason, and none is left out', () => {
    const items = [
      item('1', 'owed', 'next visit'),
      item('2', 'owed', 'next visit'),
      item('3', 'wait', 'it came'),
    ]
    expect(closedItemLines([...items, item('4', 'owed')])).toEqual([
      'Row 1; Row 2: next visit',
      'Row 3: it came',
    ])
  })
})
