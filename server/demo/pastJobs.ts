import type { RigState } from '#core/rig'
import type { NewEvent } from './lookedAt'
import { SHEET, asFoundRows, neglected, turned } from './simulatedRows'
import type { DemoJob } from './storeDemoJob'

const HOUR_MS = 3_600_000

/** Earlier visitors of the made-up workshop. */
const PAST_SETS = [
  {
    owner: 'Slate quarry, lorry 1 (Ilse Harrow)',
    serial: '40188',
    seed: 3,
    causeId: 'coils-off',
    complaint: 'Weak on all channels since the winter.',
  },
  {
    owner: 'Barge Grebe (Osric Talmadge)',
    serial: '41022',
    seed: 7,
    causeId: 'tx-trimmer-off',
    complaint: 'They say he is beside the channel.',
  },
  {
    owner: 'Heritage-radio society (Perpetua Lind)',
    serial: '39977',
    seed: 11,
    causeId: 'coils-off',
    complaint: 'Bought at a clear-out, wants to know what it does.',
  },
  {
    owner: 'Mountain goods railway, shed (Teodor Quist)',
    serial: '41199',
    seed: 19,
    causeId: 'deviation-preset-high',
    complaint: 'Distorted, cuts out on loud words.',
  },
  {
    owner: 'Barge Moorhen (Ines Calloway)',
    serial: '40871',
    seed: 23,
    causeId: 'reference-hidden',
    complaint: 'Hears others only when she turns beside the channel.',
  },
  {
    owner: 'Slate quarry, lorry 7 (Ilse Harrow)',
    serial: '40630',
    seed: 31,
    causeId: 'coils-off',
    complaint: 'No range at the high channels.',
  },
] as const

/** A line of the sheet that was found wrong on the fourth of them, and right on all since. */
type SheetNews = Extract<NewEvent, { kind: 'sheet-amended' | 'line-confirmed' }>
const CORRECTED_AT = 3
const CORRECTED_LINE = 'adjuster/CT2/turn'
const CORRECTION: SheetNews = {
  kind: 'sheet-amended',
  atMs: 0,
  who: 'Ida Marlow',
  reason: 'seen on the counter',
  changes: [
    {
      line: CORRECTED_LINE,
      from: 'more capacitance lowers, 180\u00b0 range',
      to: 'clockwise raises, 180\u00b0 range',
    },
  ],
}
export const CONFIRMED: SheetNews = {
  kind: 'line-confirmed',
  atMs: 0,
  who: 'Ida Marlow',
  line: CORRECTED_LINE,
}

const saidOfSheet = (set: number): SheetNews[] => {
  if (set < CORRECTED_AT) return []
  return set === CORRECTED_AT ? [CORRECTION] : [CONFIRMED]
}

/**
 * Each came in another state: trimmers, cores and presets stood where somebody or the years had left them.
 */
function pastSet(seed: number): RigState {
  const by = (salt: number) => Math.sin(seed * 12.9898 + salt * 78.233)
  return turned(neglected(seed), {
    CT1: 0.39 + 0.03 * by(1),
    CT2: 0.42 + 0.06 * by(2),
    L4: 0.25 * by(3),
    L6: 0.4 * by(4),
    L7: 0.9 + 0.3 * by(5),
    RV1: 0.4 + 0.12 * by(6),
    RV2: 0.62 + 0.12 * by(7),
  })
}

/**
 * Sets of earlier months, measured as found and handed over, so that there is something to find and to
 * compare with.
 */
export function pastJobs(nowMs: number): DemoJob[] {
  return PAST_SETS.map((past, i) => {
    const atMs = nowMs - (90 + 9 * (PAST_SETS.length - i)) * 24 * HOUR_MS
    return {
      sheet: SHEET,
      owner: past.owner,
      serial: past.serial,
      complaint: past.complaint,
      accessories: 'own microphone',
      days: -80 - i,
      events: [
        ...asFoundRows(pastSet(past.seed), 1500, atMs, 'as-found'),
        { kind: 'cause-confirmed', atMs: atMs + HOUR_MS, causeId: past.causeId, text: '' },
        ...saidOfSheet(i).map(e => ({ ...e, atMs: atMs + 1.5 * HOUR_MS })),
        { kind: 'handed-over', atMs: atMs + 3 * HOUR_MS, text: '' },
      ],
    }
  })
}
