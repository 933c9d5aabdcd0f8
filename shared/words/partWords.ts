import { groupDigits, numberForField } from '#core/quantity'
import type { DC_RESULTS, HEATS, PartFigure, PartFigureId, PartKind, PartTested } from '#core/run'
import {
  figureInside,
  gainOfOtherDie,
  partTestPlan,
  partVerdict,
  rfRead,
  showFigure,
  testEfficiency,
  type LotHistory,
  type PartDoubt,
} from '#core/work'
import { t, type MessageCode } from '#shared/i18n'

export const PART_KIND_WORDS: Readonly<Record<PartKind, MessageCode>> = {
  transistor: 'part.transistor',
  mosfet: 'part.mosfet',
  diode: 'part.diode',
  valve: 'part.valve',
  capacitor: 'part.capacitor',
  crystal: 'part.crystal',
  other: 'part.other',
}
export const DC_RESULT_WORDS: Readonly<Record<(typeof DC_RESULTS)[number], MessageCode>> = {
  good: 'part.dcGood',
  short: 'part.dcShort',
  open: 'part.dcOpen',
  leaky: 'part.dcLeaky',
}
export const HEAT_WORDS: Readonly<Record<(typeof HEATS)[number], MessageCode>> = {
  cool: 'part.heatCool',
  warm: 'part.heatWarm',
  hot: 'part.heatHot',
}
export const FIGURE_WORDS: Readonly<Record<PartFigureId, MessageCode>> = {
  'gate-threshold': 'part.gateThreshold',
  'forward-drop': 'part.forwardDrop',
  'cathode-current': 'part.cathodeCurrent',
  'grid-current': 'part.gridCurrent',
  'capacitance': 'part.capacitance',
  'series-resistance': 'part.seriesResistance',
  'crystal-frequency': 'part.crystalFrequency',
}

const listed = (parts: readonly string[]) => parts.filter(Boolean).join(', ')

/** What the tests of one part prove, with the reason: a test that was made is never asked for again. */
export function partVerdictWords(test: PartTested): string {
  const { byRf } = partTestPlan(test.partKind ?? 'transistor')
  switch (partVerdict(test)) {
    case 'accepted':
      return t(byRf ? 'part.acceptedByRf' : 'part.acceptedByFigures')
    case 'rejected':
      return t('part.rejected')
    case 'doubtful':
      return t('part.doubtful', { list: listed([gainWords(test), ...outsideWords(test), shareWords(test)]) })
    default:
      return byRf ? unprovedByRf(test) : unprovedByFigures(test)
  }
}

function unprovedByRf(test: PartTested): string {
  const share = shareWords(test)
  if (share) return t('part.notWatched', { share })
  return t(test.dcGain === null ? 'part.noTestDecides' : 'part.gainDoesNotDecide')
}

/** What is still to be read before a part that is never tried with RF is accepted. */
function unprovedByFigures(test: PartTested): string {
  const { decides, dcResults } = partTestPlan(test.partKind ?? 'transistor')
  const isJudged = (id: PartFigureId) =>
    (test.figures ?? []).some(f => f.figure === id && figureInside(f) !== null)
  const missing = [
    ...decides.filter(id => !isJudged(id)).map(id => t('part.withItsRange', { figure: t(FIGURE_WORDS[id]) })),
    dcResults.length > 0 && !test.dcResult ? t('part.dcTestInText') : '',
  ]
  return decides.length === 0 ? t('part.nothingDecides') : t('part.stillToRead', { list: listed(missing) })
}

const gainWords = (test: PartTested) => (gainOfOtherDie(test) ? t('part.gainOfAnother') : '')
const outsideWords = (test: PartTested) =>
  (test.figures ?? [])
    .filter(f => figureInside(f) === false)
    .map(f => t('part.outsideItsType', { figure: t(FIGURE_WORDS[f.figure]) }))

function shareWords(test: PartTested): string {
  const rf = rfRead(test)
  if (!rf || !test.rfReferenceW) return ''
  const value = groupDigits((100 * rf.powerW) / test.rfReferenceW, 0)
  return t(rf.isBound ? 'part.atMostOfReference' : 'part.ofReference', { value })
}

/** As it was typed. */
const watts = (w: number | null) => (w === null ? '?' : numberForField(w))
const typeWords = (low: string | null, high: string | null) =>
  low === null && high === null ? '' : ` ${t('part.ofType', { from: low ?? '?', to: high ?? '?' })}`

function figureText({ figure, value, low, high }: PartFigure): string {
  const shown = (si: number | null) => (si === null ? null : showFigure(si, figure))
  return `${t(FIGURE_WORDS[figure])} ${shown(value)}${typeWords(shown(low), shown(high))}`
}

function gainText({ dcGain, gainFrom, gainTo }: PartTested): string {
  if (dcGain === null) return ''
  const end = (gain: number | null | undefined) => (gain ? groupDigits(gain, 0) : null)
  return t('part.dcGain', { dcGain: groupDigits(dcGain, 0), ofType: typeWords(end(gainFrom), end(gainTo)) })
}

function rfText(test: PartTested): string {
  const rf = rfRead(test)
  if (!rf) return ''
  const params = { power: watts(rf.powerW), reference: watts(test.rfReferenceW) }
  return t(rf.isBound ? 'part.rfAtMost' : 'part.rf', params)
}

/** Where and how it was tried with RF. */
function rfSetupText(test: PartTested): string {
  const { testSet, meter, scale, supplyV, supplyA, keyedS } = test
  const efficiency = testEfficiency(test)
  return listed([
    testSet ? t('part.inSet', { testSet }) : '',
    meter ? t('part.onMeter', { meter }) : '',
    scale ? t('part.onScale', { scale }) : '',
    supplyV ? t('part.atSupply', { volts: groupDigits(supplyV, 1) }) : '',
    supplyA ? t('part.drawing', { amperes: groupDigits(supplyA, 2) }) : '',
    efficiency === null ? '' : t('part.efficiency', { value: groupDigits(100 * efficiency, 0) }),
    keyedS ? t('part.keyedFor', { seconds: groupDigits(keyedS, 0) }) : '',
  ])
}

/** What was measured on a part, in what and with what, and where the part came from. */
export function partTestWords(test: PartTested): string {
  return listed([
    test.dcResult ? t('part.dcTest', { result: t(DC_RESULT_WORDS[test.dcResult]) }) : '',
    gainText(test),
    ...(test.figures ?? []).map(figureText),
    rfText(test),
    rfSetupText(test),
    test.fallsWhileKeyed ? t('part.fallsWhileKeyed') : '',
    test.heat ? t(HEAT_WORDS[test.heat]) : '',
    test.boughtAt ? t('part.from', { boughtAt: test.boughtAt }) : '',
    test.lot ? t('part.ofLot', { lot: test.lot }) : '',
    test.text,
  ])
}

/** What the others of the lot showed, before the next one of it is fitted; empty = nothing against it. */
export function lotWords({ tested, rejected, doubtful }: LotHistory): string {
  return rejected + doubtful === 0 ? '' : t('part.lotBefore', { tested, rejected, doubtful })
}

export function partDoubtWords(d: PartDoubt): string {
  return d.kind === 'not-preferred'
    ? t('part.notE24', { text: d.text })
    : t('part.decade', {
        what: d.factor > 1 ? groupDigits(d.factor, 0) : `1/${groupDigits(1 / d.factor, 0)}`,
      })
}
