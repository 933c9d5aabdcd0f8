import { describe, expect, it } from 'vitest'
import { SHEETS, modelSheet } from '../sheet'
import { complaintRows } from './complaintTopics'

const AM = modelSheet('osmund-40a')
const topics = (complaint: string, sheet = AM) => complaintRows(sheet, complaint).map(r => r.topic)

describe('the words of a complaint', () => {
  it.each([
    ['Deaf on receive.', ['receiver']],
    ['No oye nada, está sordo', ['receiver']],
    ['It drifts off frequency when warm', ['tx-frequency']],
    ['Splatter: the neighbour sees it on TV', ['purity']],
    ['Potencia débil y la voz distorsionada', ['power', 'depth']],
    ['Blows fuses', ['supply-current']],
    ['It receives a little dull', ['receiver']],
    ['Lo tengo apagado desde el verano', []],
    ['Please check it before I sell it.', []],
  ])('"%s" are about %j', (complaint, expected) => {
    expect(topics(complaint)).toEqual(expected)
  })
  it('name rows that measure it, of every sheet, and none that the sheet has not', () => {
    for (const sheet of SHEETS)
      for (const { rowIds } of complaintRows(sheet, 'deaf, weak, off frequency, muffled, wide, hot, needle'))
        for (const id of rowIds) expect(sheet.matrix.some(p => p.id === id)).toBe(true)
    const receiver = complaintRows(AM, 'deaf')[0]!.rowIds
    expect(receiver).toContain('sinad')
    expect(receiver).not.toContain('carrier-19')
  })
  it('are not found within other words', () => {
    expect(topics('Widely known, hottest set in town, quietly sold')).toEqual([])
  })
})
