import { truthOf } from '../assembly/truth'
import { left, worse, type RigFault } from './fault'

export const RECEIVER_FAULTS: readonly RigFault[] = [
  {
    id: 'X21',
    designIds: ['osmund-27f', 'osmund-40a', 'larkfield-lx8', 'corvid-m6'],
    difficulty: 1,
    name: 'front end 20 dB deaf',
    causeIds: ['front-end'],
    shows: 'threshold, SINAD and S-meter all 20 dB down',
    apply: s => worse(s, 'frontEnd', { faultLossDb: 20 }),
    cured: s => s.parts.frontEnd.faultLossDb === 0,
  },
  {
    id: 'XP2',
    designIds: ['quillon-p5', 'quillon-p7'],
    difficulty: 2,
    name: 'intermediate frequency entered beside the filter',
    causeIds: ['rx-off-centre'],
    shows: 'receiver loudest off the frequency',
    apply: s =>
      left(
        s,
        s.designId === 'quillon-p5' ? 'IF' : 'TRANS',
        s.positions[s.designId === 'quillon-p5' ? 'IF' : 'TRANS']! +
          (s.designId === 'quillon-p5' ? 320 : 1600),
      ),
    cured: s => Math.abs(truthOf(s).secondIfHz - s.parts.ifFilter.centreHz) < 80,
  },
]

export const METER_FAULTS: readonly RigFault[] = [
  {
    id: 'X18',
    designIds: ['quillon-hb150', 'osmund-40a'],
    difficulty: 2,
    name: 'panel meter circuit at half, power right',
    causeIds: ['panel-meter'],
    shows: 'panel and external meter at every level',
    apply: s => worse(s, 'panel', { gain: 0.5 }),
    cured: s => s.parts.panel!.gain > 0.9 || s.positions[s.designId === 'osmund-40a' ? 'RV1' : 'VR5']! > 0.95,
  },
  {
    id: 'X19',
    designIds: ['osmund-40a', 'quillon-hb150'],
    difficulty: 2,
    name: 'power low, panel meter right',
    causeIds: ['drive-lost', 'carrier-low-set', 'coils-off', 'valve-drive-low'],
    shows: 'panel and external meter low by the same ratio',
    apply: s => worse(s, 'driver', { gainRatio: s.designId === 'osmund-40a' ? 0.4 : 0.55 }),
    cured: s => s.parts.driver.gainRatio > 0.9,
  },
]
