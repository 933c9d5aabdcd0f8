import { quantityInfo, type Reading } from '../quantity'
import { channelName, judgedVerdict, planOf, type RuleSet, type Verdict } from '../rules'
import {
  judgeRequirement,
  requirementOf,
  struckReasons,
  validEvents,
  type JobEvent,
  type RowTaken,
  type RunState,
} from '../run'
import { modulationOf, pointOf, type ModelSheet } from '../sheet'

/** One line per reading, in the order in which they were taken; struck and stale ones are named as such. */
export type ReadingLine = Record<
  | 'taken_at'
  | 'phase'
  | 'step'
  | 'row'
  | 'mode'
  | 'channel'
  | 'channel_name'
  | 'channel_hz'
  | 'low_power'
  | 'power_position'
  | 'modulation'
  | 'tone_hz'
  | 'tone_v'
  | 'input_v'
  | 'coverage'
  | 'setting'
  | 'supply_v'
  | 'load'
  | 'on_time_s'
  | 'quantity'
  | 'value_si'
  | 'bound'
  | 'unit_si'
  | 'standard_uncertainty_si'
  | 'verdict'
  | 'source'
  | 'instrument'
  | 'entered_by'
  | 'struck_out'
  | 'stale',
  string
>

/** What `unjudgedLines` writes in the place of what only sheet and rule set can tell. */
export const NOT_JUDGED = 'not judged'

export function readingLines(sheet: ModelSheet, rules: RuleSet, run: RunState): ReadingLine[] {
  return run.history.readings.map(({ reading, row, struck, staleBy }) =>
    lineOf(row, reading, {
      ...channelOf(sheet, row),
      verdict: verdictOf(sheet, rules, row, reading),
      struck_out: text(struck),
      stale: staleBy.map(t => t.designator).join(' '),
    }),
  )
}

/** The readings of a job whose sheet or rule set cannot be read: as they were entered, none left out. */
export function unjudgedLines(events: readonly JobEvent[]): ReadingLine[] {
  const struck = struckReasons(events)
  return validEvents(events)
    .filter(e => e.kind === 'row-taken')
    .flatMap(row =>
      row.readings.map(reading =>
        lineOf(row, reading, {
          channel_name: '',
          channel_hz: '',
          verdict: NOT_JUDGED,
          struck_out: struck.get(reading.id) ?? '',
          stale: NOT_JUDGED,
        }),
      ),
    )
}

const text = (v: string | number | boolean | null) => (v === null ? '' : String(v))

function lineOf(
  row: RowTaken,
  reading: Reading,
  bySheet: Pick<ReadingLine, 'channel_name' | 'channel_hz' | 'verdict' | 'struck_out' | 'stale'>,
): ReadingLine {
  return {
    taken_at: new Date(row.atMs).toISOString(),
    phase: row.phase,
    step: text(row.stepId),
    row: row.pointId,
    mode: row.conditions.mode,
    channel: text(row.conditions.channel),
    channel_name: bySheet.channel_name,
    channel_hz: bySheet.channel_hz,
    low_power: text(row.conditions.lowPower),
    power_position: row.conditions.powerPosition ?? '',
    modulation: modulationOf(row.conditions),
    tone_hz: text(row.conditions.toneHz),
    tone_v: text(row.conditions.toneV),
    input_v: text(row.conditions.inputV),
    coverage: row.conditions.coverage,
    setting: row.conditions.setting,
    supply_v: text(row.conditions.supplyV),
    load: row.conditions.load,
    on_time_s: text(row.conditions.onTimeS),
    quantity: reading.quantity,
    value_si: text(reading.value),
    bound: reading.bound ?? '',
    unit_si: quantityInfo(reading.quantity).siUnit,
    standard_uncertainty_si: text(reading.standardUncertainty),
    verdict: bySheet.verdict,
    source: reading.source,
    instrument: text(reading.instrument),
    entered_by: row.author?.name ?? '',
    struck_out: bySheet.struck_out,
    stale: bySheet.stale,
  }
}

/** The number of a channel says little where a set has bands of its own. */
function channelOf(sheet: ModelSheet, { conditions: { channel } }: RowTaken) {
  const hz = channel === null ? undefined : planOf(sheet).channelsHz[channel - 1]
  return hz === undefined
    ? { channel_name: '', channel_hz: '' }
    : { channel_name: channelName(planOf(sheet), channel!), channel_hz: text(hz) }
}

/** '' = nothing is asked of the reading. */
function verdictOf(sheet: ModelSheet, rules: RuleSet, row: RowTaken, reading: Reading): Verdict | '' {
  const point = pointOf(sheet, row.stepId, row.pointId)
  const want = point.wants.find(w => w.quantity === reading.quantity)!
  const judgement = judgeRequirement(reading, requirementOf(sheet, rules, want, row.conditions))
  return judgedVerdict(judgement) ?? ''
}
