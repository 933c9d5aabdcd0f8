import type { Cause } from '../cause'

const am = { domain: 'modulation', modes: ['AM'] } as const
const fm = { domain: 'modulation', modes: ['FM'] } as const
const ssb = { domain: 'modulation', modes: ['USB', 'LSB'] } as const

export const MODULATION_CAUSES: readonly Cause[] = [
  { ...am, id: 'limiter-missing', row: 'F04', title: 'Modulation limiter removed or open', remedy: 'Refit the parts of the drawing, then set the depth.', prior: 2.5,
    shows: { 'depth': { over: 0.93, right: 0.06 }, 'depth-level': { follows: 0.95 }, 'limiter-parts': { missing: 0.95 }, 'past-full': { 'meter-alone': 0.7 }, 'preset-feel': { nothing: 0.6, smooth: 0.22, end: 0.16 }, 'crest': { clean: 0.55, over: 0.3, flat: 0.15 }, 'adjacent': { dirty: 0.93 } } },
  { ...am, id: 'modulation-preset-end', row: 'F04', title: 'Modulation preset at its end', remedy: 'Set the preset; the microphone gain is not the cure.', prior: 1.5,
    shows: { 'depth': { over: 0.95 }, 'depth-level': { stuck: 0.93 }, 'past-full': { 'meter-alone': 0.7 }, 'preset-feel': { end: 0.75, smooth: 0.22 }, 'crest': { clean: 0.55, over: 0.25, flat: 0.2 }, 'adjacent': { dirty: 0.93 } } },
  { ...am, id: 'audio-too-high', row: 'F03', title: 'Limiter lets the audio past full depth: power outside the channel', remedy: 'Audio or limiter down until the meter rises no more than the crest does.', prior: 1.5,
    shows: { 'depth': { over: 0.93, right: 0.06 }, 'depth-level': { follows: 0.65, stuck: 0.3 }, 'past-full': { 'meter-alone': 0.95 }, 'preset-feel': { smooth: 0.9 }, 'crest': { clean: 0.55, over: 0.3, flat: 0.15 }, 'adjacent': { dirty: 0.93 } } },
  { ...am, id: 'modulation-preset-low', row: 'F10', title: 'Limiter set too low', remedy: 'Set the modulation preset after the carrier.', prior: 2,
    shows: { 'depth': { low: 0.96 }, 'depth-level': { held: 0.93 }, 'crest': { clean: 0.95 }, 'preset-feel': { smooth: 0.9 } } },
  { ...am, id: 'weak-audio', row: 'F10', title: 'Audio too weak', remedy: 'Find where the tone is lost: socket, gain, coupling, amplifier.', prior: 1,
    shows: { 'depth': { low: 0.85, none: 0.12 }, 'depth-level': { rises: 0.9 }, 'audio-after': { weak: 0.93 }, 'crest': { clean: 0.93 } } },
  { ...am, id: 'no-headroom', row: 'F02', title: 'Crest flattened: carrier too high for the final, or the final weak', remedy: 'Carrier down to a quarter of the PEP it reaches; supply and bias; then the final.', prior: 2,
    shows: { 'crest': { flat: 0.95 }, 'carrier-down': { rises: 0.92 }, 'depth': { right: 0.6, low: 0.38 }, 'adjacent': { dirty: 0.75 } } },
  { ...fm, id: 'deviation-preset-high', row: 'F55', title: 'Deviation preset turned up', remedy: 'Set it with a tone at full limiting. The job cannot be closed above the limit.', prior: 3,
    shows: { 'deviation': { high: 0.97 }, 'preset-feel': { smooth: 0.85, end: 0.1 } } },
  { ...fm, id: 'deviation-preset-low', row: 'F54', title: 'Deviation preset turned down', remedy: 'Set it with a tone at full limiting.', prior: 2,
    shows: { 'deviation': { low: 0.96 }, 'preset-feel': { smooth: 0.92 } } },
  { ...fm, id: 'dirty-preset', row: 'F72', title: 'Dirty or worn preset', remedy: 'Clean and turn end to end ten times; replace it if that does not cure it.', prior: 1,
    shows: { 'deviation': { none: 0.45, low: 0.5 }, 'preset-feel': { jumps: 0.95 } } },
  { ...fm, id: 'weak-audio-fm', row: 'F54', title: 'Audio too weak', remedy: 'Find where the tone is lost: socket, amplifier, earlier modification.', prior: 1.2,
    shows: { 'deviation': { low: 0.8, none: 0.18 }, 'audio-after': { weak: 0.93 }, 'preset-feel': { end: 0.6, smooth: 0.35 } } },
  { ...fm, id: 'uneven-limiter', row: 'F57', title: 'Limiter clips one side only', remedy: 'Coupling and diodes of the limiter.', prior: 0.6,
    shows: { 'symmetry': { uneven: 0.95 }, 'deviation': { right: 0.5, high: 0.25, low: 0.25 } } },
  { ...am, modes: null, id: 'microphone', row: 'F85', title: 'Microphone, its plug or its wiring', remedy: 'Element, plug, gain; note impedance and wiring first.', prior: 1,
    shows: { 'other-mic': { cures: 0.97 } } },
  { ...am, id: 'voice-unbalanced', row: 'F15', title: 'Carrier and crest out of balance on voice', remedy: 'Carrier to the mark, limiter with a tone; then voice again. Meters on voice tell about the meter too.', prior: 1,
    shows: { 'voice-balance': { 'all-peak': 0.6, 'compressed': 0.38 } } },
  { ...ssb, id: 'ssb-flat-topping', row: 'F80', title: 'Flat-topping on SSB: ALC or audio too high', remedy: 'ALC down until the mean is half the PEP and the products fall.', prior: 2,
    shows: { 'two-tone': { above: 0.8, half: 0.19 }, 'imd': { poor: 0.93 }, 'drop-6db': { improves: 0.95 }, 'adjacent': { dirty: 0.5, clean: 0.5 } } },
  { ...ssb, id: 'no-idle-current', row: 'F80', title: 'No idle current: crossover distortion', remedy: 'Bias of driver and finals, then two tones again.', prior: 1,
    shows: { 'imd': { poor: 0.95 }, 'drop-6db': { stays: 0.95 }, 'two-tone': { half: 0.85, below: 0.12 }, 'stage-idle': { low: 0.9 } } },
  { ...ssb, id: 'average-meter', row: 'F12', title: 'The meters: an average-responding one, or a PEP meter that overshoots', remedy: 'Swap meters; a thermal meter or a capture decides. Nothing in the set is turned on such data.', prior: 1,
    shows: { 'two-tone': { average: 0.7, below: 0.25 }, 'imd': { clean: 0.95 }, 'leak': { balanced: 0.95 } } },
  { ...ssb, id: 'carrier-leak', row: 'F78', title: 'Carrier balance or carrier oscillator', remedy: 'Balance preset for the least carrier, after the carrier oscillators.', prior: 1.5,
    shows: { 'leak': { leaky: 0.97 }, 'two-tone': { half: 0.75, below: 0.24 } } },
  { ...fm, id: 'hum', row: 'F82', title: 'Hum or noise on the deviation', remedy: 'Supply capacitor, regulator, preset, microphonic VCO: battery supply and a tap decide.', prior: 0.8,
    shows: { 'tone-off': { hums: 0.97 } } },
]
