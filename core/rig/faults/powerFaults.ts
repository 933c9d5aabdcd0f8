import { left, worse, type RigFault } from './fault'

const TRANSISTOR_SETS = ['osmund-27f', 'osmund-40a', 'larkfield-lx8', 'corvid-m6']

export const POWER_FAULTS: readonly RigFault[] = [
  { id: 'X09', designIds: ['larkfield-lx8'], difficulty: 2, name: 'series regulator shorted: AM and FM far too high, its control dead', causeIds: ['regulator-shorted'], shows: 'carrier, control without effect, SSB right',
    apply: s => left(worse(s, 'regulator', { shorted: true }), 'VR12', 1), cured: s => !s.parts.regulator!.shorted },
  { id: 'X10', designIds: TRANSISTOR_SETS, difficulty: 1, name: 'output device shorted', causeIds: ['shorted-final'], shows: 'current limit at idle, voltage collapses',
    apply: s => worse(s, 'final', { shortOhm: 0.4 }), cured: s => s.parts.final.shortOhm === null && !s.parts.final.dead },
  { id: 'X11', designIds: ['quillon-p5', 'larkfield-lx8m'], difficulty: 2, name: 'gate bias far too high', causeIds: ['gate-high', 'bias-high'], shows: 'idle current, heat',
    apply: s => left(s, s.designId === 'quillon-p5' ? 'R36' : 'RVG', 1), cured: s => s.positions[s.designId === 'quillon-p5' ? 'R36' : 'RVG']! < 0.8 && !s.parts.final.dead },
  { id: 'X12', designIds: ['larkfield-lx8'], difficulty: 2, name: 'bias clamp part missing: no idle current', causeIds: ['no-idle-current', 'bias-off'], shows: 'idle current zero, small tones distorted',
    apply: s => left(worse(s, 'bipolarBias', { clampFitted: false }), 'VR12', 1), cured: s => s.parts.bipolarBias!.clampFitted },
  { id: 'X13', designIds: TRANSISTOR_SETS, difficulty: 3, name: 'counterfeit output transistor: an audio type in a borrowed coat', causeIds: ['counterfeit-final'], shows: 'little power that falls, hot in seconds, DC gain high',
    apply: s => worse(worse(s, 'final', { saturatedW: s.parts.final.saturatedW * 0.2, efficiency: 0.09, dcGain: 260, fadePerK: 0.004, fadeFromC: 45 }), 'heat', { junctionKPerW: 12, junctionS: 2.5 }),
    cured: s => s.parts.final.dcGain < 200 && !s.parts.final.dead },
  { id: 'X16', designIds: ['osmund-27f', 'larkfield-lx8'], difficulty: 2, name: 'driver of the wrong type fitted', causeIds: ['wrong-driver'], shows: 'next to no output, driver hot, resistors out of value',
    apply: s => worse(s, 'driver', { gainRatio: 0.11, currentA: 0.45, emitterOhm: 12 }), cured: s => s.parts.driver.gainRatio > 0.9 },
  { id: 'X25', designIds: TRANSISTOR_SETS, difficulty: 1, name: 'polarity diode shorted', causeIds: ['polarity-diode'], shows: 'nought ohm both ways, the fuse goes at connection',
    apply: s => worse(s, 'supplyInput', { diodeShorted: true }), cured: s => !s.parts.supplyInput.diodeShorted },
  { id: 'X28', designIds: [...TRANSISTOR_SETS, 'brantwick-tallis60'], difficulty: 1, name: 'supply at the set only 12.0 V', causeIds: ['supply-low'], shows: 'voltage while keyed',
    apply: s => ({ ...s, surroundings: { ...s.surroundings, supplyV: 12 } }), cured: s => s.surroundings.supplyV > 13 },
  { id: 'XT1', designIds: ['brantwick-tallis60'], difficulty: 1, name: 'RF power control far above the mark', causeIds: ['carrier-high-set', 'control-left-up'], shows: 'carrier against PEP',
    apply: s => left(s, 'RF POWER', 0.72), cured: s => s.positions['RF POWER']! < 0.4 },
]
