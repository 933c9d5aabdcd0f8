import { randomUUID } from 'node:crypto'
import type { Claim, ClaimKind, ClaimQuantity } from '#core/claims'
import { modelSheet } from '#core/sheet'
import { pool } from '../db/pool'
import { amJobEvents } from './amJob'
import { finishedJob } from './finishedJob'
import { lookedAt } from './lookedAt'
import { multimodeJobEvents } from './multimodeJob'
import { pastJobs } from './pastJobs'
import { SHEET, asFoundRows, neglected } from './simulatedRows'
import { storeDemoJob, type DemoJob } from './storeDemoJob'

const AM_SHEET = modelSheet('osmund-40a')
const MULTIMODE = modelSheet('larkfield-lx8')
const HOUR_MS = 3_600_000
/** Number of the first set that is in the shop. */
const FIRST_PRESENT = 227

/**
 * Sets of the made-up workshop: some of earlier months, then a multimode and an AM mobile measured as found,
 * an FM mobile finished, one just in, one measured. FM readings come from the simulated set.
 */
export async function loadDemoJobs(): Promise<void> {
  const nowMs = Date.now()
  const past = pastJobs(nowMs)
  await pool.query(`alter table job alter column number restart with ${FIRST_PRESENT - past.length}`)
  for (const demo of [...past, ...ofOtherModels(nowMs), ...ofTheFmMobile(nowMs)]) await storeDemoJob(demo)
}

function ofOtherModels(nowMs: number): DemoJob[] {
  return [
    {
      sheet: MULTIMODE,
      owner: 'Mountain goods railway, works (Odile Brandreth)',
      serial: 'LX-2209',
      complaint: 'About 20 W on AM and nobody understands a word. The power control does nothing.',
      claims: [claim('powerW', 'about', 20, 'in-line meter')],
      accessories: 'desk microphone; seal broken',
      days: 12,
      bench: 2,
      events: multimodeJobEvents(MULTIMODE, nowMs - 50 * HOUR_MS),
    },
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
      events: amJobEvents(AM_SHEET, nowMs - 26 * HOUR_MS),
    },
  ]
}

function ofTheFmMobile(nowMs: number): DemoJob[] {
  return [
    {
      sheet: SHEET,
      owner: 'Slate quarry, lorry 4 (Ilse Harrow)',
      serial: '40622',
      complaint:
        'Others say he is weak on channel 1 and they hear him wide on ' +
        '40. Meter on the set shows full scale all the time.',
      accessories: 'fist microphone, bracket; seal broken',
      days: -2,
      events: finishedJob(nowMs - 70 * HOUR_MS),
    },
    {
      sheet: SHEET,
      owner: 'Mountain goods railway, brake van 2 (Teodor Quist)',
      serial: '41190',
      complaint: 'Low power does nothing, meter the same in both positions.',
      accessories: 'no microphone; seal whole',
      days: 9,
      events: [],
    },
    {
      sheet: SHEET,
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
      events: [
        ...lookedAt(SHEET, nowMs - 3 * HOUR_MS, { I38: ['seen', 'RV2 at its stop'] }),
        ...asFoundRows(neglected(27), 1500, nowMs - 2 * HOUR_MS, 'as-found'),
      ],
    },
  ]
}

function claim(quantity: ClaimQuantity, kind: ClaimKind, value: number, meter: string): Claim {
  return { id: randomUUID(), quantity, kind, value, meter }
}
