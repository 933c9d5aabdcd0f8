import { act } from '../assembly/act'
import { truthOf } from '../assembly/truth'
import { rigDesign } from '../designs'
import type { RigState } from '../rigState'
import { left, worse, type RigFault } from './fault'

const AM_SETS = ['osmund-40a', 'larkfield-lx8']
const MODULATION_PRESET = {
  'osmund-40a': 'RV5',
  'larkfield-lx8': 'VR14',
  'brantwick-tallis60': 'VR7',
} as Record<string, string>
/** Depth at 30 mV with the limiter gone. */
const OPEN_DEPTH = 1.25
const TONE_V = 0.03

/** Depth with the usual tone, keyed on AM. */
function depthOf(s: RigState): number {
  const keyed = act(s, { kind: 'control', controls: { mode: 'AM', keyed: true, powerOn: true } }).state
  return (
    truthOf({ ...keyed, stimulus: { ...keyed.stimulus, tones: [{ hz: 1000, v: TONE_V }] } }).values
      .depthNegativeRatio ?? 1
  )
}

export const MODULATION_FAULTS: readonly RigFault[] = [
  {
    id: 'X07',
    designIds: AM_SETS,
    difficulty: 1,
    name: 'limiter part clipped out for more talk power',
    causeIds: ['limiter-missing'],
    shows: 'depth follows the audio, splatter beside the channel',
    apply: s => worse(s, 'audio', { limiterFitted: false, gainPerV: OPEN_DEPTH / TONE_V }),
    cured: s => s.parts.audio.limiterFitted,
  },
  {
    id: 'X08',
    designIds: [...AM_SETS, 'brantwick-tallis60'],
    difficulty: 1,
    name: 'modulation preset at its end stop',
    causeIds: ['modulation-preset-end'],
    shows: 'far over-modulated, the same at every level',
    apply: s => left(s, MODULATION_PRESET[s.designId]!, 1),
    cured: s => depthOf(s) < 0.96,
  },
  {
    id: 'X14',
    designIds: ['osmund-27f'],
    difficulty: 2,
    name: 'dirty track of the deviation preset',
    causeIds: ['dirty-preset'],
    shows: 'deviation jumps when it is touched',
    apply: s => worse(s, 'tracks', { RV2: { dirty: true } }),
    cured: s => !s.parts.tracks.RV2?.dirty,
  },
  {
    id: 'X15',
    designIds: ['osmund-27f', 'osmund-40a', 'corvid-m6'],
    difficulty: 2,
    name: 'weak microphone element',
    causeIds: ['microphone'],
    shows: 'tone right, whistle weak',
    apply: s => worse(s, 'microphone', { sensitivityRatio: 0.03 }),
    cured: s => s.parts.microphone.sensitivityRatio > 0.5,
  },
  {
    id: 'X29',
    designIds: ['larkfield-lx8', 'larkfield-lx8m'],
    difficulty: 1,
    name: 'AM carrier set to half of what the finals reach: no room for modulation',
    causeIds: ['carrier-high-set', 'no-headroom'],
    shows: 'carrier and PEP',
    apply: s =>
      left(left(s, 'VR13', Math.sqrt(10 / 20) * (s.designId === 'larkfield-lx8m' ? 0.91 : 1)), 'VR12', 1),
    cured: s => carrierW(s) < 5.3,
  },
  {
    id: 'X31',
    designIds: ['larkfield-lx8', 'larkfield-lx8m'],
    difficulty: 2,
    name: 'carrier balance off: carrier only 20 dB down',
    causeIds: ['carrier-leak'],
    shows: 'carrier line on SSB, peaks uneven',
    apply: s => left(s, 'VR6', s.parts.balanced!.nullAt + 0.1 / s.parts.balanced!.slope),
    cured: s => Math.abs(s.positions.VR6! - s.parts.balanced!.nullAt) < 0.025,
  },
  {
    id: 'X32',
    designIds: ['osmund-27f', 'larkfield-lx8'],
    difficulty: 2,
    name: 'dried-out audio and supply capacitors',
    causeIds: ['hum'],
    shows: 'hum, thin voice',
    apply: s => worse(worse(s, 'audio', { lowCutHz: 1500, humRatio: 0.06 }), 'fm', { residualHz: 140 }),
    cured: s => s.parts.audio.humRatio === 0 && (s.parts.fm?.residualHz ?? 0) < 100,
  },
  {
    id: 'XM1',
    designIds: ['corvid-m6'],
    difficulty: 1,
    name: 'power and depth numbers raised in the menu',
    causeIds: ['carrier-high-set', 'modulation-preset-end'],
    shows: 'power above the rule set in one mode',
    apply: s => left(left(s, '01', 0x72), '05', 140),
    cured: s => s.positions['01']! <= 0x67 && s.positions['05']! < 118,
  },
]

function carrierW(s: RigState): number {
  const { positions } = s
  return rigDesign(s.designId).parts.final.saturatedW * (13.3 / 13.8) ** 2 * positions.VR13! ** 2
}
