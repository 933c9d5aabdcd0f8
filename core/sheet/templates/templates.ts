import { message } from '../../message'
import { CoreError } from '../../errors'
import { withAdjusterRenamed } from '../authoring/references'
import { BRANTWICK_DUO } from '../brantwickDuo/sheet'
import { BRANTWICK_TALLIS60 } from '../brantwickTallis60/sheet'
import { CORVID_M6 } from '../corvidM6/sheet'
import { LARKFIELD_LX8 } from '../larkfieldLx8/sheet'
import { LARKFIELD_LX8M } from '../larkfieldLx8Mosfet/sheet'
import type { ModelSheet, TestPoint } from '../modelSheet'
import { OSMUND_27F } from '../osmund27f/sheet'
import { OSMUND_40A } from '../osmund40a/sheet'
import { QUILLON_HB150 } from '../quillonHb150/sheet'
import { QUILLON_P5 } from '../quillonP5/sheet'
import { QUILLON_P7 } from '../quillonP7/sheet'
import { STABLE_REFERENCE } from './stableReference'

/** A family of sets or of work: where a new sheet may start from. */
export interface SheetTemplate {
  readonly id: string
  readonly name: string
  readonly what: string
  readonly like: ModelSheet
}

export const SHEET_TEMPLATES: readonly SheetTemplate[] = [
  {
    id: 'fm-three-crystal',
    name: 'FM mobile, three crystals',
    what: 'reference, transmit and receive trimmer, waxed coils, presets for low power, deviation and meter',
    like: OSMUND_27F,
  },
  {
    id: 'am-mobile',
    name: 'AM mobile',
    what: 'VCO, coils, carrier before depth, limiter, trap',
    like: OSMUND_40A,
  },
  {
    id: 'multimode',
    name: 'AM, FM and SSB multimode',
    what: 'carrier oscillators and offsets, bias device by device, ALC, AM regulator',
    like: LARKFIELD_LX8,
  },
  {
    id: 'menu-mobile',
    name: 'Menu-adjusted mobile',
    what: 'hexadecimal values in a service menu; originals first',
    like: CORVID_M6,
  },
  {
    id: 'hybrid-valve',
    name: 'Hybrid valve transceiver',
    what: 'idle current, preselector, dip and load, seconds counted',
    like: QUILLON_HB150,
  },
  {
    id: 'amplifier',
    name: 'Amplifier',
    what: 'bias device by device, input match, gain at two drives, products and harmonic',
    like: BRANTWICK_DUO,
  },
  {
    id: 'cw-kit',
    name: 'Small CW kit',
    what: 'zero beat, IF offset, gate before power, short bursts',
    like: QUILLON_P5,
  },
  {
    id: 'menu-qrp',
    name: 'Menu-driven QRP transceiver',
    what: 'bias by rise of current, power by band, hold to save, read again',
    like: QUILLON_P7,
  },
  {
    id: 'high-power',
    name: 'High-power mobile',
    what: 'volts on voice, carrier and PEP, one safe mark',
    like: BRANTWICK_TALLIS60,
  },
  {
    id: 'converted-final',
    name: 'Conversion of a final',
    what: 'gate bias from zero, coils again, everything that follows from a new PEP',
    like: LARKFIELD_LX8M,
  },
  {
    id: 'stable-reference',
    name: 'Fitting a stable reference',
    what: 'frequency plan, VCO range, mode offsets, every band',
    like: STABLE_REFERENCE,
  },
]

/** Families of sets: templates that are no work on a set of another family. */
export const SET_FAMILIES: readonly SheetTemplate[] = SHEET_TEMPLATES.filter(
  t => t.id !== 'converted-final' && t.id !== 'stable-reference',
)

/** What stands on a line that nobody has looked up yet. */
export const TO_BE_FOUND = 'to be found on this set'

/** Words of the example that name a part or a pin of its board: another set has others. */
const PIN = /(?:pin|Pin) \d+ of [A-Z]{1,3}\d+/g

/**
 * A new sheet of a family: its order of work, adjusters and limits; places, pins, pictures and figures of the
 * example are left out, since they are of another set, and its designators stand as numbers until they are
 * found.
 * @throws {CoreError} unknown-item: no such template
 */
export function fromTemplate(templateId: string, id: string, model: string, day: string): ModelSheet {
  const template = SHEET_TEMPLATES.find(t => t.id === templateId)
  if (!template) throw new CoreError('unknown-item', message('error.noTemplate', { templateId }))
  const {
    boards: _boards,
    testPoints,
    typicalFaults: _faults,
    inspection: _inspection,
    plateV: _plateV,
    ...like
  } = template.like
  const parts = like.adjusters.filter(a => a.kind !== 'menu-value' && a.kind !== 'control')
  const renamed = parts.reduce(
    (sheet, a, i) => withAdjusterRenamed(sheet, a.designator, `adj ${i + 1}`),
    like as ModelSheet,
  )
  const neutral = (text: string) =>
    parts
      .reduce(
        // "the receive trimmer CT3" names it already.
        (t, a) => t.replace(new RegExp(`(?:the ${a.name} )?\\b${a.designator}\\b`, 'g'), `the ${a.name}`),
        text,
      )
      .replace(PIN, 'its pin')
  return {
    ...inWords(renamed, neutral),
    id,
    model,
    revision: 1,
    revisedOn: day,
    description: template.name,
    adjusters: inWords(renamed, neutral).adjusters.map(a => ({
      ...a,
      where: a.kind === 'menu-value' ? a.where : TO_BE_FOUND,
      board: { x: 0, y: 0 },
    })),
    ...(testPoints ? { testPoints: testPoints.map((point, i) => unplaced(point, i, neutral)) } : {}),
    specification: [],
    family: templateId,
  }
}

/** A test point of the example: what is read there stays, where it is does not. */
function unplaced(point: TestPoint, index: number, neutral: (text: string) => string): TestPoint {
  return {
    ...point,
    id: `TP${index + 1}`,
    name: neutral(point.name),
    expected: neutral(point.expected),
    caution: point.caution === null ? null : neutral(point.caution),
    where: TO_BE_FOUND,
    board: { x: 0, y: 0 },
  }
}

/** Every text that a person reads, changed alike; ids and references stay. */
function inWords(sheet: ModelSheet, change: (text: string) => string): ModelSheet {
  const state = (p: ModelSheet['matrix'][number]) => ({
    ...p,
    title: change(p.title),
    state: { ...p.state, also: p.state.also === null ? null : change(p.state.also) },
  })
  return {
    ...sheet,
    adjusters: sheet.adjusters.map(a => ({
      ...a,
      name: change(a.name),
      moves: change(a.moves),
      turn: change(a.turn),
      caution: a.caution === null ? null : change(a.caution),
    })),
    matrix: sheet.matrix.map(state),
    procedure: sheet.procedure.map(s => ({
      ...s,
      title: change(s.title),
      instruction: change(s.instruction),
      why: change(s.why),
      cautions: s.cautions.map(change),
      points: s.points.map(state),
    })),
    owed: sheet.owed.map(o => ({ ...o, title: change(o.title), why: change(o.why) })),
    cautions: sheet.cautions.map(change),
  }
}
