import { groupDigits } from '#core/quantity'
import { t, type MessageCode } from '#shared/i18n'
import type { ModelSheet } from '#core/sheet'
import { rigDesign, type PartGroup } from '#core/rig'
import type { PracticeState } from '#shared/practice'

/** One adjuster as the hands see it. */
export interface Hand {
  readonly designator: string
  readonly name: string
  readonly kind: string
  readonly position: number
  readonly min: number
  readonly max: number
  readonly fine: number
  readonly coarse: number
  readonly waxed: boolean
  readonly shown: string
}

/** Threads end at two turns from the electrical middle, which is not where the hand sees the middle. */
const TURNS = 2.6

/** Controls of every adjuster of a simulated set; those that the step at hand wants first. */
export function handsOf(
  sheet: ModelSheet,
  state: PracticeState,
  held: Readonly<Record<string, number>>,
  wanted: readonly string[],
): Hand[] {
  const design = rigDesign(sheet.id)
  const first = (d: string) => (wanted.includes(d) ? 0 : 1)
  return [...sheet.adjusters]
    .sort((a, b) => first(a.designator) - first(b.designator))
    .map(a => {
      const { kind, max = 1 } = design.adjusters[a.designator]!
      const position = held[a.designator] ?? state.adjusters[a.designator] ?? 0
      return {
        designator: a.designator,
        name: a.name,
        kind,
        position,
        ...rangeOf(kind, max),
        waxed: state.waxed.includes(a.designator),
        shown: shownPosition(kind, position, max),
      }
    })
}

/** How far it goes, and how finely a hand turns it. */
function rangeOf(kind: string, max: number): Pick<Hand, 'min' | 'max' | 'fine' | 'coarse'> {
  if (kind === 'core') return { min: -TURNS, max: TURNS, fine: 0.05, coarse: 0.25 }
  if (kind === 'menu-value') return { min: 0, max, fine: 1, coarse: max > 255 ? 50 : 8 }
  return kind === 'trimmer'
    ? { min: 0, max: 1, fine: 0.0005, coarse: 0.01 }
    : { min: 0, max: 1, fine: 0.005, coarse: 0.04 }
}

function shownPosition(kind: string, position: number, max: number): string {
  if (kind === 'core') return `${groupDigits(position, 2)} t`
  if (kind === 'menu-value')
    return max > 255
      ? String(Math.round(position))
      : `${Math.round(position).toString(16).toUpperCase().padStart(2, '0')}h`
  return `${groupDigits(position * 100, kind === 'trimmer' ? 2 : 1)}\u2009%`
}

export const clampTo = ({ min, max }: Hand, position: number) =>
  Math.min(max, Math.max(min, Number(position.toFixed(4))))

/** What a workshop would call the groups of parts that are replaced as one. */
export const GROUP_NAMES: Readonly<Partial<Record<PartGroup, MessageCode>>> = {
  final: 'practice.outputDevice',
  driver: 'practice.driverAndItsResistors',
  regulator: 'practice.seriesRegulator',
  bipolarBias: 'practice.biasClampPart',
  gateBias: 'practice.gateClampPart',
  audio: 'practice.limiterAndAudioParts',
  microphone: 'practice.microphoneElement',
  reference: 'practice.referenceCrystal',
  txCrystal: 'practice.transmitCrystal',
  rxCrystal: 'practice.receiveCrystal',
  program: 'practice.programOfTheSynthesiser',
  frontEnd: 'practice.rfAmplifierAndItsProtection',
  supplyInput: 'practice.polarityDiode',
  panel: 'practice.diodeAndPartsOfThePanel',
  fm: 'practice.supplyAndAudioCapacitors',
  valves: 'practice.pairOfOutputValves',
  highVoltage: 'practice.bleeder',
}

const MOTION_WORDS: Readonly<Record<string, MessageCode>> = {
  stuck: 'practice.itDoesNotMoveWaxedSoften',
  stop: 'practice.itIsAtItsEndStop',
  broke: 'practice.theCoreHasSplit',
  slips: 'practice.itTurnsButNothingChanges',
}
export function motionWords(motion: string | null): string {
  const code = motion === null ? undefined : MOTION_WORDS[motion]
  return code ? t(code) : ''
}

/** A group of parts by its name; one without a name is called as the model calls it. */
export function groupName(group: string): string {
  const code = GROUP_NAMES[group as PartGroup]
  return code ? t(code) : group
}

/** Test point value with its unit, as a meter would show it. */
export function pointWords({ value, unit }: PracticeState['testPoints'][number]): string {
  if (value === null) return '\u2013'
  if (unit === 'Hz') return `${groupDigits(value / 1e6, 6)} MHz`
  if (unit === 'ohm')
    return value >= 1000 ? `${groupDigits(value / 1000, 0)} k\u03a9` : `${groupDigits(value, 1)} \u03a9`
  if (unit === 'degC') return `${groupDigits(value, 0)} \u00b0C`
  return `${groupDigits(value, unit === 'V rf' ? 3 : 2)} ${unit === 'V rf' ? t('practice.vRel') : unit}`
}
