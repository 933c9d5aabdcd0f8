import { message } from '../../message'
import { J0_ZEROS } from '../../numeric/bessel'
import { CoreError } from '../../errors'
import { matchByPower, powerRatioToDb } from '../../quantity'

/** A number of a statement, in the unit that people say it in. */
export interface StatementField {
  readonly id: string
  readonly label: string
  readonly unit: string
}

export type StatementVerdict = 'possible' | 'doubtful' | 'impossible'

/** What a statement comes to: the verdict and the number that it stands against, in its unit. */
export interface CheckedStatement {
  readonly rule: string
  readonly verdict: StatementVerdict
  readonly againstValue: number
  readonly againstUnit: string
}

/** A statement of somebody else that two or three numbers settle, without any reading of the job. */
export interface StatementKind {
  readonly id: string
  readonly rule: string
  readonly title: string
  readonly fields: readonly StatementField[]
  readonly check: (values: readonly number[]) => Omit<CheckedStatement, 'rule'>
}

const field = (id: string, label: string, unit: string): StatementField => ({ id, label, unit })

/** A harmonic is named by how many times the carrier it is; within this of a whole number [ratio]. */
const HARMONIC_SLACK = 0.02
/**
 * Another lead that moves a reading by more than this tells of RF on the meter (common practice)
 * [dB].
 */
const LEAD_DB = 0.3
const DEVIATION_SLACK = 0.02
const CHANNEL_KHZ = 10

function verdictBy(isImpossible: boolean, isDoubtful: boolean): StatementVerdict {
  if (isImpossible) return 'impossible'
  return isDoubtful ? 'doubtful' : 'possible'
}

/** Above by more than rounding: a sum that falls on a limit is not decided by its last binary digit. */
const isAbove = (value: number, limit: number) =>
  value - limit > 1e-9 * Math.max(Math.abs(value), Math.abs(limit))

/**
 * P rows that need no instrument: claims of an owner, a drawing, another bench (examples of the trade table).
 */
export const STATEMENTS: readonly StatementKind[] = [
  {
    id: 'sideband',
    rule: 'P07',
    title: 'Power in one AM sideband',
    fields: [field('carrier', 'Carrier', 'W'), field('sideband', 'In one sideband', 'W')],
    // Each sideband of full sine AM holds a quarter of the carrier (C01).
    // Over-modulated it may hold more, never more than the carrier itself (both sidebands of a carrier that
    // is gone, C04).
    check: ([carrier, sideband]) => ({
      verdict: verdictBy(sideband! > carrier!, isAbove(sideband!, carrier! / 4)),
      againstValue: carrier! / 4,
      againstUnit: 'W',
    }),
  },
  {
    id: 'swr',
    rule: 'P08',
    title: 'Forward and reflected power',
    fields: [field('forward', 'Forward', 'W'), field('reflected', 'Reflected', 'W')],
    check: ([forward, reflected]) => {
      if (!(forward! > 0) || reflected! < 0)
        return { verdict: 'impossible', againstValue: Number.NaN, againstUnit: ': 1' }
      return {
        verdict: isAbove(reflected!, forward!) ? 'impossible' : 'possible',
        againstValue: isAbove(reflected!, forward!) ? Infinity : matchByPower(forward!, reflected!).swr,
        againstUnit: ': 1',
      }
    },
  },
  {
    id: 'harmonic',
    rule: 'P15',
    title: 'Number of a harmonic',
    fields: [
      field('carrier', 'Carrier', 'MHz'),
      field('found', 'Found at', 'MHz'),
      field('number', 'Called harmonic number', ''),
    ],
    check: ([carrier, found, number]) => {
      const ratio = found! / carrier!
      return {
        verdict: Math.abs(ratio - number!) > HARMONIC_SLACK * ratio ? 'impossible' : 'possible',
        againstValue: Math.round(ratio),
        againstUnit: '',
      }
    },
  },
  {
    id: 'span',
    rule: 'P17',
    title: 'Channels in a span',
    fields: [field('channels', 'Channels', ''), field('span', 'Span', 'kHz')],
    // From the first channel to the last there is one step less than there are channels; from edge to edge as
    // many.
    check: ([channels, span]) => ({
      verdict: verdictBy(
        isAbove((channels! - 1) * CHANNEL_KHZ, span!),
        isAbove(channels! * CHANNEL_KHZ, span!),
      ),
      againstValue: channels! * CHANNEL_KHZ,
      againstUnit: 'kHz',
    }),
  },
  {
    id: 'off-or-moved',
    rule: 'P20',
    title: 'Error, and how far it moved',
    fields: [field('off', 'Error', 'Hz'), field('moved', 'Moved by', 'Hz')],
    // The same figure in both places is one of them repeated: only a log with times decides.
    check: ([off, moved]) => ({
      verdict: off! !== 0 && Math.abs(off! - moved!) < 1 ? 'doubtful' : 'possible',
      againstValue: off! - moved!,
      againstUnit: 'Hz',
    }),
  },
  {
    id: 'bessel',
    rule: 'P34',
    title: 'Deviation from a carrier null',
    fields: [field('tone', 'Tone', 'Hz'), field('deviation', 'Claimed to be', 'kHz')],
    // Without passing the first null it is taken for the second: the deviation then is less than half (C14).
    check: ([tone, deviation]) => {
      const [firstHz, secondHz] = [J0_ZEROS[0] * tone!, J0_ZEROS[1] * tone!]
      const near = (hz: number) => Math.abs((deviation! * 1000) / hz - 1) <= DEVIATION_SLACK
      return {
        verdict: verdictBy(!near(firstHz) && !near(secondHz), !near(firstHz)),
        againstValue: firstHz / 1000,
        againstUnit: 'kHz',
      }
    },
  },
  {
    id: 'drift',
    rule: 'P36',
    title: 'Three readings of a drift, equal times apart',
    fields: [field('a', 'First', 'Hz'), field('b', 'Second', 'Hz'), field('c', 'Third', 'Hz')],
    // r = (c - b) / (b - a) must lie between 0 and 1, or it is no settling (C21).
    check: ([a, b, c]) => {
      const r = (c! - b!) / (b! - a!)
      const settles = r > 0 && r < 1
      return {
        verdict: settles ? 'possible' : 'doubtful',
        againstValue: settles ? c! + ((c! - b!) * r) / (1 - r) : Number.NaN,
        againstUnit: 'Hz',
      }
    },
  },
  {
    id: 'per-device',
    rule: 'P38',
    title: 'PEP from a number of devices',
    fields: [
      field('pep', 'PEP claimed', 'W'),
      field('devices', 'Devices', ''),
      field('rating', 'Rating of one', 'W'),
    ],
    check: ([pep, devices, rating]) => ({
      verdict: pep! > devices! * rating! ? 'impossible' : 'possible',
      againstValue: devices! * rating!,
      againstUnit: 'W',
    }),
  },
  {
    id: 'lead',
    rule: 'P39',
    title: 'The same set on another lead',
    fields: [field('one', 'On one lead', 'W'), field('other', 'On the other', 'W')],
    check: ([one, other]) => {
      if (!(one! > 0) || !(other! > 0))
        return {
          verdict: one! < 0 || other! < 0 ? 'impossible' : 'doubtful',
          againstValue: Number.NaN,
          againstUnit: 'dB',
        }
      const db = Math.abs(powerRatioToDb(other! / one!))
      return { verdict: db > LEAD_DB ? 'doubtful' : 'possible', againstValue: db, againstUnit: 'dB' }
    },
  },
]

/** @throws {CoreError} unknown-item */
export function statementKind(id: string): StatementKind {
  const kind = STATEMENTS.find(s => s.id === id)
  if (!kind) throw new CoreError('unknown-item', message('error.noStatement', { id }))
  return kind
}

/** @throws {CoreError} not-a-number: a number is missing or not finite */
export function checkStatement(id: string, values: readonly number[]): CheckedStatement {
  const kind = statementKind(id)
  const missing = kind.fields.find((_, i) => !Number.isFinite(values[i]))
  if (missing)
    throw new CoreError('not-a-number', message('error.numberMissing', { label: { term: missing.label } }))
  return { rule: kind.rule, ...kind.check(values) }
}
