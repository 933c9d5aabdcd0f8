import { randomUUID } from 'node:crypto'
import { addDays, formatISO } from 'date-fns'
import type { Claim, ClaimKind, ClaimQuantity } from '#core/claims'
import type { Quantity } from '#core/quantity'
import { putFor } from '#core/practice'
import { act, advance, deliver, preparedScenario, truthOf, type RigState, type RigTruth } from '#core/rig'
import { instrumentProfile, INSTRUMENT_PROFILES, profileQuantity } from '#core/instrument'
import { boundToStandard, errorBound } from '#core/quantity'
import type { JobEvent } from '#core/run'
import { operatingPoint, modelSheet, type MeasurePoint, type ModelSheet } from '#core/sheet'
import { inTransaction, pool } from '../db/pool'
import { insertJob, placeJobs, updateJob } from '../db/queries/job'
import { indexJobs } from '../db/queries/jobIndex'
import { insertEvent, selectEvents } from '../db/queries/jobEvent'
import { keepAmendment } from '../services/amendments'
import { freezeHandover } from '../services/freezeHandover'
import { requireSheet } from '../services/sheetBook'
import { amJobEvents } from './amJob'
import { multimodeJobEvents } from './multimodeJob'
import { lookedAt, type NewEvent } from './lookedAt'

const SHEET = modelSheet('osmund-27f')
const AM_SHEET = modelSheet('osmund-40a')
const MULTIMODE = modelSheet('larkfield-lx8')
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
const CONFIRMED: SheetNews = { kind: 'line-confirmed', atMs: 0, who: 'Ida Marlow', line: CORRECTED_LINE }

const saidOfSheet = (set: number): SheetNews[] => {
  if (set < CORRECTED_AT) return []
  return set === CORRECTED_AT ? [CORRECTION] : [CONFIRMED]
}

/**
 * Sets of the made-up workshop: some of earlier months, then a multimode and an AM mobile measured as found,
 * an FM mobile finished, one just in, one measured. FM readings come from the simulated set.
 */
export async function loadDemoJobs(): Promise<void> {
  const now = Date.now()
  await pool.query(`alter table job alter column number restart with ${227 - PAST_SETS.length}`)
  for (const [i, past] of PAST_SETS.entries())
    await store(
      {
        owner: past.owner,
        serial: past.serial,
        complaint: past.complaint,
        claims: [],
        accessories: 'own microphone',
        days: -80 - i,
      },
      pastJob(
        past.seed,
        past.causeId,
        now - (90 + 9 * (PAST_SETS.length - i)) * 24 * HOUR_MS,
        saidOfSheet(i),
      ),
    )
  await store(
    {
      sheet: MULTIMODE,
      owner: 'Mountain goods railway, works (Odile Brandreth)',
      serial: 'LX-2209',
      complaint: 'About 20 W on AM and nobody understands a word. The power control does nothing.',
      claims: [claim('powerW', 'about', 20, 'in-line meter')],
      accessories: 'desk microphone; seal broken',
      days: 12,
      bench: 2,
    },
    multimodeJobEvents(MULTIMODE, now - 50 * HOUR_MS),
  )
  await store(
    {
      sheet: AM_SHEET,
      owner: 'Barge Coot (Halvard Penrose)',
      serial: '7732',
      complaint: 'Under 3 W on his meter, about 250 Hz low, and he has to shout to hear anybody.',
      claims: [
        claim('powerW', 'about', 2.9, 'cross-needle meter'),
        claim('frequencyErrorHz', 'about', -250, ''),
      ],
      accessories: 'fist microphone; seal broken',
      days: 5,
    },
    amJobEvents(AM_SHEET, now - 26 * HOUR_MS),
  )
  await store(
    {
      owner: 'Slate quarry, lorry 4 (Ilse Harrow)',
      serial: '40622',
      complaint:
        'Others say he is weak on channel 1 and they hear him wide on ' +
        '40. Meter on the set shows full scale all the time.',
      claims: [],
      accessories: 'fist microphone, bracket; seal broken',
      days: -2,
    },
    finishedJob(now - 70 * HOUR_MS),
  )
  await store(
    {
      owner: 'Mountain goods railway, brake van 2 (Teodor Quist)',
      serial: '41190',
      complaint: 'Low power does nothing, meter the same in both positions.',
      claims: [],
      accessories: 'no microphone; seal whole',
      days: 9,
    },
    [],
  )
  await store(
    {
      owner: 'Barge Heron (Marit Osterholt)',
      serial: '41877',
      complaint:
        'Under 3 W on the owner\u2019s own meter. Stations at the lock say he is about 100 Hz low and too loud.',
      claims: [
        claim('powerW', 'under', 3, 'cross-needle meter'),
        claim('frequencyErrorHz', 'about', -100, ''),
        claim('deviationHz', 'over', 2500, ''),
      ],
      accessories: 'own microphone, power lead with 2 A fuse; seal whole',
      days: 2,
      bench: 1,
    },
    [
      ...lookedAt(SHEET, now - 3 * HOUR_MS, { I38: ['seen', 'RV2 at its stop'] }),
      ...asFoundRows(neglected(27), 1500, now - 2 * HOUR_MS, 'as-found'),
    ],
  )
}

async function store(
  j: {
    sheet?: ModelSheet
    owner: string
    serial: string
    complaint: string
    claims: Claim[]
    accessories: string
    days: number
    bench?: number
  },
  events: NewEvent[],
): Promise<void> {
  const sheet = j.sheet ?? SHEET
  await inTransaction(async db => {
    const job = await insertJob(db, {
      id: randomUUID(),
      owner: j.owner,
      contact: '',
      sheetId: sheet.id,
      sheetRevision: (await requireSheet(db, sheet.id)).revision,
      ruleSetId: sheet.defaultRuleSetId,
      serial: j.serial,
      complaint: j.complaint,
      claims: j.claims,
      accessories: j.accessories,
      boxNote: '',
      schools: {},
      mayDo: 'alignment, cleaning of presets; anything above that: ask',
      ownerLanguage: '',
      promisedOn: formatISO(addDays(Date.now(), j.days), { representation: 'date' }),
    })
    for (const event of events) {
      const whole = { ...event, id: randomUUID() } as JobEvent
      await insertEvent(db, job!.id, whole)
      if (whole.kind === 'sheet-amended') await keepAmendment(db, job!, whole)
    }
    await indexJobs(db, [job!.id])
    if (j.bench) await placeJobs(db, [{ id: job!.id, bench: j.bench }])
    if (events[0])
      await db.query('update job set created_at = to_timestamp($2::float8 / 1000) where id = $1::uuid', [
        job!.id,
        events[0].atMs - HOUR_MS,
      ])
    const handed = events.some(e => e.kind === 'handed-over')
    if (!handed) return
    const stored = (await selectEvents(db, [job!.id])).get(job!.id)!
    await updateJob(db, job!.id, { onBench: false }, null)
    await freezeHandover(db, job!, stored, stored.at(-1)!)
  })
}

/** The simulated Osmund 27F as it comes in, its adjusters turned on where wanted. */
const neglected = (seed: number) => deliver(preparedScenario('osmund-27f', seed))
const turned = (set: RigState, positions: Readonly<Record<string, number>>) =>
  Object.entries(positions).reduce(
    (s, [designator, position]) => act(s, { kind: 'turn', designator, position }).state,
    set,
  )

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
function pastJob(seed: number, causeId: string, atMs: number, more: readonly SheetNews[]): NewEvent[] {
  return [
    ...asFoundRows(pastSet(seed), 1500, atMs, 'as-found'),
    { kind: 'cause-confirmed', atMs: atMs + HOUR_MS, causeId, text: '' },
    ...more.map(e => ({ ...e, atMs: atMs + 1.5 * HOUR_MS })),
    { kind: 'handed-over', atMs: atMs + 3 * HOUR_MS, text: '' },
  ]
}

function claim(quantity: ClaimQuantity, kind: ClaimKind, value: number, meter: string): Claim {
  return { id: randomUUID(), quantity, kind, value, meter }
}

function finishedJob(atMs: number): NewEvent[] {
  const found = neglected(40)
  const set = turned(found, {
    CT1: 0.3861,
    CT2: 0.4021,
    L4: 0,
    L6: -0.2,
    L7: 0.9,
    RV1: 0.285,
    RV2: 0.595,
    RV3: 0.5,
  })
  const turning: NewEvent = {
    kind: 'adjuster-turned',
    atMs: atMs + HOUR_MS,
    designators: ['CT1', 'CT2', 'L4', 'L6', 'L7', 'RV1', 'RV2', 'RV3'],
    stepId: null,
    startPosition: 'photo',
  }
  return [
    ...lookedAt(SHEET, atMs - HOUR_MS, { I37: ['treated', 'L4 re-waxed'] }),
    ...asFoundRows(found, 1500, atMs, 'as-found'),
    turning,
    ...alignment(set, atMs + 1.2 * HOUR_MS),
    ...asFoundRows(set, 5400, atMs + 1.6 * HOUR_MS, 'as-left'),
    { ...CONFIRMED, atMs: atMs + 1.9 * HOUR_MS },
    {
      kind: 'item-settled',
      atMs: atMs + 2 * HOUR_MS,
      itemId: 'A1.6',
      text: 'second IF within 40 Hz of 455 kHz, left alone',
    },
    {
      kind: 'item-settled',
      atMs: atMs + 2 * HOUR_MS,
      itemId: 'A1.16',
      text: 'analyser borrowed: second harmonic 71 dB down; cores waxed',
    },
    {
      kind: 'handed-over',
      atMs: atMs + 2.2 * HOUR_MS,
      text: 'The meter on the set now tells the truth: it will show less than before.',
    },
  ]
}

/** Every step of the sheet, measured and confirmed; one reading per want (peaking needs two passes). */
function alignment(set: RigState, atMs: number): NewEvent[] {
  return SHEET.procedure.flatMap((step, i) => {
    const passes = step.criterion?.kind === 'peak' ? 2 : 1
    const rows = Array.from({ length: passes }, () =>
      step.points.map(p => row(set, p, 4500 + i * 60, atMs + i * 60_000, 'adjusting', step.id)),
    ).flat()
    return [
      ...rows,
      {
        kind: 'step-confirmed' as const,
        atMs: atMs + i * 60_000 + 30_000,
        stepId: step.id,
        outcome: 'done' as const,
        reason: '',
      },
    ]
  })
}

function asFoundRows(
  set: RigState,
  onTimeS: number,
  atMs: number,
  phase: 'as-found' | 'as-left',
): NewEvent[] {
  return SHEET.matrix.map((point, i) => row(set, point, onTimeS + i * 45, atMs + i * 45_000, phase, null))
}

function row(
  set: RigState,
  point: MeasurePoint,
  onTimeS: number,
  atMs: number,
  phase: 'as-found' | 'adjusting' | 'as-left',
  stepId: string | null,
): NewEvent {
  const state = putFor(advance(set, onTimeS), point)
  const truth = truthOf(state)
  const readings = point.wants.flatMap(({ quantity }) => {
    const value = valueOf(truth, quantity)
    return value === null ? [] : [{ id: randomUUID(), quantity, value, ...instrumentOf(quantity, value) }]
  })
  return {
    kind: 'row-taken',
    atMs,
    phase,
    stepId,
    pointId: point.id,
    readings,
    conditions: {
      ...operatingPoint(point.state),
      supplyV: state.surroundings.supplyV,
      load: SHEET.load,
      onTimeS: state.memory.onS,
    },
  }
}

function valueOf(truth: RigTruth, quantity: Quantity): number | null {
  const round = (v: number, digits: number) => Number(v.toPrecision(digits))
  const value = truth.values[quantity] ?? null
  const digits = ({ panelPowerW: 2, sensitivityV: 2, lockS: 1 } as Partial<Record<Quantity, number>>)[
    quantity
  ]
  return value === null || digits === undefined ? value : round(value, digits)
}

/** The instrument of the demo bench that reads a quantity: a talking one if there is one. */
function instrumentOf(quantity: Quantity, value: number) {
  const NAMES: Record<string, string> = {
    'scpi-power-meter': 'Power meter',
    'scpi-counter': 'Counter',
    'scpi-modulation-meter': 'Modulation meter',
    'scpi-supply': 'Bench supply',
    'eye-generator': 'RF generator',
    'eye-panel': 'The set itself',
  }
  const profile = INSTRUMENT_PROFILES.find(p => NAMES[p.id] && profileQuantity(p, quantity))!
  const { accuracy } = profileQuantity(instrumentProfile(profile.id), quantity)!
  return {
    source: profile.talks ? ('instrument' as const) : ('typed' as const),
    instrument: NAMES[profile.id]!,
    standardUncertainty: boundToStandard(errorBound(value, accuracy)),
  }
}
