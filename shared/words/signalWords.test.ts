import { messageWords } from './messageWords'
import { describe, expect, it } from 'vitest'
import { DEFAULT_OPTIONS, judgeSignal, measureRecording } from '#core/signal'
import { ruleSet } from '#core/rules'
import { VOICES } from '../../test/truth/families/voices'
import { NEIGHBOURS } from '../../test/truth/families/neighbours'
import { figureLines } from './figureLines'
import { findingWords, verdictLine } from './signalWords'

const measured = async (c: (typeof VOICES)[number]) =>
  (await measureRecording(c.make(), { ...DEFAULT_OPTIONS, ...c.options })).measurement

describe('what a recording says', () => {
  it('of a voice: extremes, and what little of the time passes; nothing of a tone', async () => {
    const lines = figureLines(await measured(VOICES[0]!))
    const labels = lines.map(l => l.label)
    expect(labels).toContain('Positive peak exceeded 0.1 % of the time')
    for (const ofTone of ['Depth of the tone alone', 'Distortion', 'Flat-topped', 'Tone'])
      expect(labels).not.toContain(ofTone)
    expect(lines.map(l => l.value).join()).not.toMatch(/-0\.0 %/)
  })
  it('of a set beside another station: no number of watts that are not its own', async () => {
    const m = await measured(NEIGHBOURS[1]!)
    expect(messageWords(m.notes.find(n => n.code === 'neighbour-beside')!.says)).toMatch(
      /10\.0 kHz below, as strong/,
    )
    const said = verdictLine(judgeSignal(m, ruleSet('R-EU'), 4))
    expect(said).toMatch(/cannot tell. Receiver noise or another station is included in the reading/)
    expect(findingWords({ kind: 'adjacent-untold', watts: 84e-6, maxW: 20e-6 })).toMatch(
      /84 \u00b5W in total/,
    )
  })
})
