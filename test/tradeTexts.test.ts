import { describe, expect, it } from 'vitest'
import esTrade from '../i18n/es/trade'
import { CLAIM_QUANTITIES } from '../core/claims'
import { CAUSES, OBSERVABLES, STATEMENTS } from '../core/diagnose'
import { INSTRUMENT_PROFILES, STEPPED_PRESETS } from '../core/instrument'
import { LESSONS } from '../core/practice'
import { BENCH_KITS } from '../core/practice/instruments'
import { QUANTITIES } from '../core/quantity'
import { RIG_DESIGNS, RIG_FAULTS, healthyRig, truthOf } from '../core/rig'
import { COMPLAINTS } from '../core/rig/scenarios/complaints'
import { CHANNEL_PLANS, RULE_SETS } from '../core/rules'
import { STRIKE_REASONS } from '../core/run'
import {
  BOARD_DRAWINGS,
  GOES_STALE,
  SCHOOLS,
  SET_KINDS,
  SHEETS,
  applySchools,
  fromTemplate,
  kindInfo,
} from '../core/sheet'
import { SHEET_TEMPLATES } from '../core/sheet/templates/templates'
import { ISOLATION_ORDER, REMINDER_CONDITIONS, owedAfterFinal } from '../core/work'
import { TEXT_FIELDS } from '../shared/i18n'
import { INSPECTION_ITEMS } from '../core/work/inspectionItems'
import { productSources } from './textUses'

/** Texts that a table holds, as {@link withTextsTranslated} finds them. */
function textsIn(value: unknown, field = ''): string[] {
  if (typeof value === 'string') return TEXT_FIELDS.has(field) ? [value] : []
  if (Array.isArray(value)) return value.flatMap(v => textsIn(v, field))
  if (value === null || typeof value !== 'object') return []
  return Object.entries(value).flatMap(([key, v]) => textsIn(v, field === 'outcomes' ? field : key))
}

const FINAL_CHANGED = [
  {
    kind: 'part-changed',
    id: 'f',
    atMs: 0,
    designator: 'V',
    partOut: '',
    partIn: '',
    isFinal: true,
    text: '',
  },
] as const
const testPoints = RIG_DESIGNS.flatMap(s => Object.keys(truthOf(healthyRig(s.id, 1)).testPoints)).filter(
  name => !name.startsWith('RF behind'),
)

const shipped = [...SHEETS, ...SHEET_TEMPLATES.map(t => fromTemplate(t.id, 'x', 'x', '2026-01-01'))]
/** As they are, and as shops of other schools work by them. */
const everySheet = [
  ...shipped,
  ...SCHOOLS.flatMap(({ id, options }) =>
    options.flatMap(o => shipped.map(s => applySchools(s, { [id]: o.id }))),
  ),
]

/** Everything that core holds as text and some page, paper or terminal shows. */
const SHOWN = new Set(
  [
    ...textsIn([everySheet, SHEET_TEMPLATES, SCHOOLS, GOES_STALE]),
    ...everySheet
      .flatMap(s => [...s.matrix, ...s.procedure.flatMap(p => p.points)])
      .flatMap(({ state }) => [state.setting, state.also ?? '']),
    ...everySheet.map(s => s.load),
    ...SET_KINDS.map(k => kindInfo(k).label),
    ...BOARD_DRAWINGS.flatMap(d => d.parts.map(p => p.label)),
    ...textsIn([CAUSES, OBSERVABLES, STATEMENTS, CLAIM_QUANTITIES, QUANTITIES]),
    ...textsIn(Object.values(QUANTITIES).map(q => ({ label: (q as { rail?: unknown }).rail }))),
    ...textsIn([INSTRUMENT_PROFILES, STEPPED_PRESETS, BENCH_KITS, LESSONS]),
    ...RIG_FAULTS.flatMap(f => [f.name, f.shows]),
    ...Object.values(COMPLAINTS),
    ...textsIn([RULE_SETS, CHANNEL_PLANS]),
    ...RULE_SETS.flatMap(r => r.alsoSays),
    ...textsIn([INSPECTION_ITEMS, ISOLATION_ORDER, REMINDER_CONDITIONS]),
    ...SHEETS.flatMap(s => textsIn(owedAfterFinal(s, FINAL_CHANGED))),
    ...STRIKE_REASONS,
    ...testPoints,
  ].filter(text => /[A-Za-z]{2}/.test(text)),
)

/** Models, parts, standards and units are written alike in both languages. */
const ALIKE =
  /^(?:[a-z]+(?:Hz|V|A)|[A-Z][a-z]+ (?:[A-Z0-9-]+\d*|Tallis 60)|[A-Z]{1,5}\d*|\d.*|f = .*|.*CFR.*|ETSI.*|ECC.*|MPT.*)$/

describe('the texts of the trade', () => {
  it('have Spanish, each of them', () => {
    expect([...SHOWN].filter(text => !(text in esTrade) && !ALIKE.test(text))).toEqual([])
  })

  it('have none that nothing shows', () => {
    const core = [...productSources()]
      .filter(([file]) => file.startsWith('core/'))
      .map(([, source]) => source)
    const isWritten = (text: string) =>
      core.some(source => source.includes(`'${text.replaceAll("'", "\\'")}'`) || source.includes(`"${text}"`))
    expect(Object.keys(esTrade).filter(text => !SHOWN.has(text) && !isWritten(text))).toEqual([])
  })

  it('hold the same numbers, with the decimal comma', () => {
    const numbers = (text: string) =>
      (text.match(/\d+(?:[.,]\d+)?/g) ?? []).map(n => n.replace(',', '.')).sort()
    const differing = Object.entries(esTrade).filter(
      ([en, es]) => numbers(en).join() !== numbers(es).join() && !/[A-Z]\d+\.\d/.test(en),
    )
    expect(differing.map(([en]) => en)).toEqual([])
  })
})
