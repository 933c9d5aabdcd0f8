import type { Domain, Observable } from '../observable'

const DUMMY = 'Dummy load, at most 5 s keyed, then rest.'
const OFF = 'Supply off and disconnected first.'

function test(domain: Domain, id: string, question: string, how: string, outcomes: Record<string, string>, healthy: string, caution: string | null = null, modes: Observable['modes'] = null): Observable {
  return { id, domain, question, outcomes, healthy, modes, source: { kind: 'test', how, caution } }
}

/** Tests that a technician makes with hands and eyes; the answer is chosen, not measured (common practice). */
export const HAND_TESTS: readonly Observable[] = [
  test('supply', 'idle', 'Current with the set merely on', 'Supply at 13.8 V, limit 1.5 A, receiving.', { 'right': 'as the sheet says', 'high': 'clearly above', 'at-limit': 'at the limit, voltage collapses' }, 'right', 'At the limit: off at once.'),
  test('supply', 'input-ohms', 'Resistance of the supply input, both ways', 'Ohmmeter or diode test across the supply lead, both polarities.', { 'one-way': 'a diode drop one way, kilohms the other', 'short-both': 'near zero both ways' }, 'one-way', OFF),
  test('supply', 'lift-final', 'Current with the final taken out', 'Unsolder the final\u2019s supply side, switch on again with the limit low.', { falls: 'falls to normal', stays: 'stays at the limit' }, 'stays', OFF),
  test('supply', 'lift-driver', 'Current with the driver taken out', 'Unsolder the driver\u2019s supply side, switch on again with the limit low.', { falls: 'falls to normal', stays: 'stays at the limit' }, 'stays', OFF),

  test('supply', 'trace', 'Traces near the supply socket, polarity diode', 'Look for a burnt trace and for the diode.', { whole: 'whole', burnt: 'burnt trace, diode missing or tiny' }, 'whole', OFF),

  test('power', 'holds', 'Power during a key-down of 5 s', 'Key on dummy load for 5 s and watch the meter.', { steady: 'steady', falls: 'falls by a tenth or more' }, 'steady', DUMMY),
  test('power', 'final-heat', 'Heat of the final after 3 s keyed', 'Key 3 s, unkey, touch the case of the final or use a thermometer.', { cool: 'cool or warm', hot: 'too hot to touch' }, 'cool', 'Hot devices burn. White ceramic must not be broken.'),
  test('power', 'second-meter', 'A second power meter on its own lead', 'Put another meter straight between set and dummy load.', { same: 'reads the same', other: 'reads clearly more' }, 'same', DUMMY),
  test('power', 'cores', 'A touch on each core and back', 'Note positions first. A few degrees on each drive and output core, watching power or supply current.', { peaked: 'each is at its peak', off: 'one or more rises when turned', dead: 'one core turns without any effect' }, 'peaked', 'Warm the wax, do not force. Right tool.'),
  test('power', 'travel', 'Power control or carrier preset over its travel', 'Note its position, turn from end to end and back.', { acts: 'moves the power smoothly', nothing: 'changes nothing', end: 'stands at its end and wants to go on' }, 'acts', DUMMY),
  test('power', 'control-at', 'Where the carrier or RF-power control stood', 'Ask, or look before it is touched: at its mark for this mode, or as the other mode wants it.', { mark: 'at its mark', up: 'left up' }, 'mark', null, ['AM']),
  test('power', 'dummy-swr', 'SWR on the antenna against the dummy load', 'Half level: the directional meter with the dummy load, then with the owner\u2019s antenna and cable.', { same: 'low on both', antenna: 'low on the dummy load, high on the antenna' }, 'same', 'Reduced level until it is matched.'),
  test('power', 'claimed-pep', 'PEP claimed per output device', 'Divide the claimed PEP by the number of output devices; the data sheet of one gives its most.', { within: 'within what a device gives', beyond: 'well beyond it' }, 'within'),
  test('power', 'regulator', 'Series regulator, collector to emitter', 'Ohmmeter across the regulator.', { open: 'not shorted', shorted: 'near zero ohms' }, 'open', OFF, ['AM']),
  test('power', 'rf-forward', 'RF probe from the oscillator towards the antenna', 'Probe on each base or gate in turn while keyed.', { 'to-final': 'drive arrives at the final', 'lost-driver': 'lost at the driver', 'lost-before': 'lost before the driver' }, 'to-final', DUMMY),
  test('power', 'driver-resistors', 'Resistors around the driver', 'Look, then measure those that look burnt.', { fine: 'in tolerance', burnt: 'discoloured or out of value' }, 'fine', OFF),
  test('power', 'substitute', 'The final in a healthy test set', 'Socketed 4 W test set at 27.185 MHz, 5 s, current noted. DC gain alone proves nothing.', { makes: 'makes its power, steady', fails: 'a quarter or less, or falling, or hot' }, 'makes', DUMMY),
  test('power', 'low-preset', 'Low-power preset over its travel', 'Switch to low, note the position, turn from end to end.', { acts: 'moves the low power', nothing: 'changes nothing' }, 'acts', DUMMY),
  test('power', 'lock-ends', 'Lock at both ends of the band', 'Step to the lowest and highest channel and wrap; watch the lock lamp and RF.', { 'everywhere': 'at once on all', 'one-end': 'slow or missing at one end', 'nowhere': 'never' }, 'everywhere'),

  test('power', 're-dip', 'Plate dipped again, load and plate repeated', 'Short key-downs, external meter.', { same: 'no more output', rises: 'clearly more output' }, 'same', 'Dummy load, at most 10 s keyed, rest 30 to 60 s.', ['CW']),
  test('power', 'drive-up', 'More drive', 'Raise the carrier level and watch plate current.', { follows: 'plate current follows', nothing: 'it does not' }, 'follows', 'Dummy load, at most 10 s keyed.', ['CW']),
  test('power', 'new-pair', 'A known good pair of valves', 'Same bias set, neutralised, tuned.', { same: 'less than 1 dB more', rises: '4 dB more or better' }, 'same', 'High voltage: plug out, discharge, measure below 30 V, one hand.', ['CW']),
  test('power', 'tap', 'Tapped, flexed, warmed and cooled', 'Tap with a plastic rod, cold spray, a warm iron near by; watch power and lamp.', { steady: 'nothing moves', jumps: 'jumps or drops out' }, 'steady', DUMMY),

  test('frequency', 'humid', 'Breathed upon, washed, dried', 'Breathe on the suspect area; wash one area and dry it.', { steady: 'nothing moves', moves: 'frequency or VCO voltage moves' }, 'steady'),
  test('frequency', 'standard-beat', 'Beat of the reference output against a standard', 'Both into one receiver; the beat rate is the error, a small change of the value tells the side.', { zero: 'no beat', below: 'output below the standard', above: 'output above the standard' }, 'zero'),
  test('frequency', 'trimmer', 'Trimmer of the transmit crystal', 'Note its position, turn it through its range.', { reaches: 'brings the frequency right', stops: 'stops with error left', missing: 'there is none, a fixed capacitor' }, 'reaches', 'Brittle: never force. Identify the twin first.'),
  test('frequency', 'settles', 'The same frequency again after 5 minutes', 'Read, wait 5 minutes, read again.', { still: 'moved by less than 10 Hz', moving: 'moved by more' }, 'still'),
  test('frequency', 'rx-centre', 'Second IF, or receiver centred on the channel', 'Generator on the channel; find where the receiver is best, or count the second IF.', { centred: 'centred', off: 'off to one side' }, 'centred'),

  test('modulation', 'other-mic', 'Another microphone', 'Speak into a known good microphone.', { same: 'no difference', cures: 'clearly more modulation' }, 'same'),
  test('modulation', 'limiter-parts', 'Limiter parts', 'Compare with the drawing: transistor and diode of the limiter.', { there: 'all there', missing: 'clipped out or missing' }, 'there', OFF, ['AM']),
  test('modulation', 'past-full', 'Wattmeter as the tone goes past full depth', 'Tone up slowly; watch the meter, the crest and the carrier line.', { together: 'meter and crest move together', 'meter-alone': 'the meter rises by more than 0.3 dB, crest and carrier line do not' }, 'together', DUMMY, ['AM']),
  test('modulation', 'preset-feel', 'Modulation or deviation preset, a touch', 'Touch it a few degrees either way and watch the meter.', { smooth: 'moves smoothly', jumps: 'jumps or drops out', end: 'stands at its end', nothing: 'turns, but changes nothing' }, 'smooth'),
  test('modulation', 'audio-after', 'Tone after the microphone amplifier', 'Scope or millivoltmeter after the amplifier, tone at the socket.', { there: 'at its usual level', weak: 'weak or missing' }, 'there'),
  test('modulation', 'carrier-down', 'Carrier 1 dB lower', 'Lower the carrier by 1 dB: does PEP against carrier rise?', { rises: 'rises', same: 'does not' }, 'same', DUMMY, ['AM']),

  test('modulation', 'drop-6db', 'Output 6 dB lower', 'Two tones, audio down until the output is a quarter: do the products improve by about 12 dB?', { improves: 'improve', stays: 'stay as they are' }, 'improves', DUMMY, ['USB', 'LSB']),
  test('modulation', 'tone-off', 'Deviation with the tone off', 'Tone off, microphone covered.', { quiet: 'next to nothing', hums: 'more than 50 Hz of hum or noise' }, 'quiet', DUMMY, ['FM']),

  test('receiver', 'sideband-audio', 'Audio of one sideband against the other', 'The same signal on USB and LSB: pitch and noise alike?', { alike: 'alike', uneven: 'one clearly duller or shriller' }, 'alike', null, ['USB', 'LSB']),
  test('receiver', 'port', 'Other port, lead or generator', 'Change the port; pull the cable: does the signal stay?', { gone: 'gone with the cable off', stays: 'some of it stays' }, 'gone'),
  test('receiver', 'inject-if', 'Generator straight into the first IF', 'Inject at 10.695 MHz behind the front end.', { good: 'good from there', poor: 'poor from there too' }, 'good'),
  test('receiver', 'rx-tuning', 'Generator a little above and below the channel', 'Move the generator by 1 kHz either way.', { centre: 'best on the channel', side: 'clearly better to one side' }, 'centre'),
]
