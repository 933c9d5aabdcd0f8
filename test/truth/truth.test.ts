import { describe, expect, it } from 'vitest'
import { emissionMask, ruleSet } from '../../core/rules'
import { DEFAULT_OPTIONS, judgeSignal, measureRecording } from '../../core/signal'
import type { Case } from './cases'
import { DETAILS } from './families/details'
import { NEIGHBOURS } from './families/neighbours'
import { RECEIVERS } from './families/receivers'
import { SEVERAL_TONES } from './families/severalTones'
import { SIDEBAND } from './families/sideband'
import { VOICES } from './families/voices'

/**
 * A value may lie this many of its own stated uncertainties from the truth: one in 16 000 lies beyond by
 * chance.
 */
const COVERED = 4

async function heldToTruth(c: Case): Promise<void> {
  const rules = ruleSet(c.rules ?? 'R-US')
  const { measurement: m } = await measureRecording(c.make(), {
    ...DEFAULT_OPTIONS,
    mask: { ruleSetId: rules.id, parts: (mode, powerW) => emissionMask(rules.mask, mode, powerW) },
    ...c.options,
  })
  const wrong: string[] = []
  for (const t of c.truths ?? []) {
    const value = t.of(m)
    const u = t.uncertaintyOf?.(m) ?? 0
    if (typeof value !== 'number') wrong.push(`${t.figure}: none, truth ${t.value}`)
    else if (!(Math.abs(value - t.value) <= t.tolerance + COVERED * u))
      wrong.push(`${t.figure}: ${value} +- ${u}, truth ${t.value}`)
    else if (u > t.maxUncertainty)
      wrong.push(`${t.figure}: ${value} +- ${u} is less than the recording tells`)
    else if (t.uncertaintyOf && !(u > 0)) wrong.push(`${t.figure}: no uncertainty`)
  }
  const said = judgeSignal(m, rules, c.carrierW ?? null).findings.map(f => f.kind)
  for (const kind of c.says ?? [])
    if (!said.includes(kind)) wrong.push(`does not say ${kind} (${said.join(', ')})`)
  for (const kind of c.neverSays ?? []) if (said.includes(kind)) wrong.push(`says ${kind}`)
  for (const code of c.notes ?? []) if (!m.notes.some(n => n.code === code)) wrong.push(`has no note ${code}`)
  expect(wrong).toEqual([])
}

describe.each([
  ['voice and noise', VOICES],
  ['several tones and hum', SEVERAL_TONES],
  ['neighbours', NEIGHBOURS],
  ['receivers', RECEIVERS],
  ['single sideband', SIDEBAND],
  ['details', DETAILS],
] as const)('%s', (_family, cases) => {
  it.each(cases.map(c => [c.name, c] as const))('%s', async (_name, c) => heldToTruth(c))
})
