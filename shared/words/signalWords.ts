import { QUANTITIES, groupDigits, showPlain } from '../../core/quantity'
import {
  neighbourShare,
  type JudgedReading,
  type JudgedSignal,
  type Limit,
  type Measurement,
  type SignalFinding,
} from '../../core/signal'

/** First zero of the Bessel function J0 (Abramowitz and Stegun, table 9.5). */
const FIRST_NULL = 2.404826

/** More than this in the next channel is no number to hold against a limit of microwatts [W]. */
const MOST_SAID_W = 0.01
const percent = (ratio: number, digits = 1) => `${(100 * ratio).toFixed(digits)} %`

/** The verdict in one or two sentences: what is gravest, and where the power lands. */
export function verdictLine(judged: JudgedSignal): string {
  const [first, ...rest] = judged.findings
  const neighbours = rest.find(f => f.kind === 'neighbours')
  return [findingWords(first!), ...(neighbours ? [findingWords(neighbours)] : [])].join(' ')
}

export function findingWords(f: SignalFinding): string {
  switch (f.kind) {
    case 'nothing-sent':
      return 'Nothing is sent: no signal stands out of the noise.'
    case 'only-at-centre':
      return 'A weak line stands at the centre of the recording: a carrier, or the offset of the receiver. Tune 10 kHz beside it and record again.'
    case 'overload':
      return 'The recording is overloaded: record it again with 10 dB less.'
    case 'pinched':
      return `Over-modulated: the carrier is pinched off ${percent(f.share)} of the time.`
    case 'reversed':
      return `Over-modulated: the carrier reverses its phase, ${percent(f.depth, 0)} of a balanced modulator.`
    case 'flat-topped':
      return `Flat-topped: the crest is cut off ${percent(f.share)} of the time.`
    case 'outside':
      return `${QUANTITIES[f.reading.quantity].label} ${f.reading.judgement!.verdict}: ${valueWords(f.reading)}. ${f.reading.limit!.rule.words}.`
    case 'undecided':
      return `${QUANTITIES[f.reading.quantity].label} cannot be told: ${valueWords(f.reading)} lies within its uncertainty of the limit (${f.reading.limit!.rule.words}).`
    case 'neighbours':
      return `${percent(f.share, f.share < 0.01 ? 2 : 1)} of the power lands in the neighbouring channels.`
    case 'adjacent-power':
      return `${groupDigits(f.watts * 1e6, 0)} \u00b5W in the next channel (${f.words}).`
    case 'adjacent-untold':
      return `Whether the next channel holds at most ${groupDigits(f.mostW * 1e6, 0)} \u00b5W cannot be told: noise of the receiver or another station is read there as well${f.watts < MOST_SAID_W ? `, ${groupDigits(f.watts * 1e6, 0)} \u00b5W in all` : ''} (${f.words}).`
    case 'mask':
      return `Outside the mask of ${f.ruleSet} by ${(-f.marginDb).toFixed(1)} dB, ${(Math.abs(f.offsetHz) / 1000).toFixed(1)} kHz ${f.offsetHz < 0 ? 'below' : 'above'} the channel.`
    case 'clean':
      return 'Clean: nothing that was measured breaks a rule.'
  }
}

/** What an uncertainty mostly comes from, and so what would make it smaller. */
const LIMIT_WORDS: Readonly<Record<Limit, string>> = {
  noise: 'limited by noise of the receiver',
  length: 'limited by the length of the recording',
  recorder: 'limited by filters and rounding',
  neighbour: 'limited by what lies beside it',
  assumption: 'the carrier is assumed',
  reference: 'limited by the reference of the receiver',
  gain: 'limited by the gain between two recordings',
  drift: 'limited by drift',
  modulation: 'limited by the modulation',
}
export const limitWords = (limit: Limit | null): string => (limit === null ? '' : LIMIT_WORDS[limit])

/** A reading with its unit; a carrier by its distance from the channel too. */
export function valueWords(r: JudgedReading): string {
  const off =
    r.nominalHz === null
      ? ''
      : `, ${r.value >= r.nominalHz ? '+' : '\u2212'}${groupDigits(Math.abs(r.value - r.nominalHz), 1)} Hz from the channel`
  return `${showPlain(r.value, r.quantity)}${off}`
}

/** One figure beside the readings, as text. */
export interface FigureLine {
  readonly label: string
  readonly value: string
  readonly why: string
}

/** The figures that no limit asks for, in the order of looking. */
export function figureLines(m: Measurement, carrierW: number | null = null): FigureLine[] {
  const lines: FigureLine[] = []
  const add = (label: string, value: number | null | undefined, show: (v: number) => string, why = '') => {
    if (typeof value === 'number' && Number.isFinite(value)) lines.push({ label, value: show(value), why })
  }
  // What rounds to nothing has no sign.
  const [hz, db, ratio] = [
    (v: number) => `${groupDigits(v, 1)} Hz`,
    (v: number) => `${v.toFixed(1)} dB`,
    (v: number) => percent(Math.abs(v) < 5e-4 ? 0 : v),
  ]
  add('Error', m.carrier?.errorPpm, v => `${v.toFixed(2)} ppm`, 'against the nominal channel')
  add(
    'Settles at',
    m.carrier?.drift?.finalHz,
    v => `${groupDigits(v, 0)} Hz`,
    `time constant ${m.carrier?.drift?.tauS?.toFixed(1)} s`,
  )
  if (m.carrier?.drift?.tauS === null)
    add(
      'Drift',
      m.carrier.drift.endHz - m.carrier.drift.startHz,
      v => `${v.toFixed(1)} Hz`,
      `in ${m.durationS.toFixed(1)} s`,
    )
  const { am, fm, ssb, audio, spectrum } = m
  add('Depth, crest and trough together', am?.depthTrough, ratio, 'cannot exceed 100 %')
  add(
    'Two tones',
    am?.tonesHz.length === 2 ? am.tonesHz[0] : fm?.tonesHz.length === 2 ? fm.tonesHz[0] : null,
    hz,
    `and ${groupDigits((am ?? fm)?.tonesHz[1] ?? 0, 1)} Hz: peaks are where they meet`,
  )
  add(
    'Crest that 0.1 % of the time passes',
    am?.peaks?.crest999,
    ratio,
    am?.peaks ? `1 % of the time: ${percent(am.peaks.crest99)}` : '',
  )
  add(
    'Trough that 0.1 % of the time passes',
    am?.peaks?.trough999,
    ratio,
    am?.peaks ? `1 % of the time: ${percent(am.peaks.trough99)}` : '',
  )
  add(
    'Deviation + that 0.1 % of the time passes',
    fm?.peaks?.positive999Hz,
    hz,
    fm?.peaks ? `1 % of the time: ${hz(fm.peaks.positive99Hz)}` : '',
  )
  add(
    'Deviation \u2212 that 0.1 % of the time passes',
    fm?.peaks?.negative999Hz,
    hz,
    fm?.peaks ? `1 % of the time: ${hz(fm.peaks.negative99Hz)}` : '',
  )
  add('Depth of the tone alone', am?.depthFundamental, ratio, 'against the mean envelope')
  add(
    'Shift of the carrier',
    am?.unmodulated?.carrierShift,
    ratio,
    am?.unmodulated?.startS === null
      ? 'mean envelope against the unmodulated carrier that was given'
      : 'mean envelope against the unmodulated carrier',
  )
  add('Pinched off', am?.pinchedRatio, ratio, 'of the time')
  add('Flat-topped', am?.flatTopRatio, ratio, 'of the time')
  add(
    'PEP over carrier',
    am?.pepToCarrier,
    v => `${v.toFixed(2)} : 1`,
    'against the mean envelope; full depth of a sine is 4 : 1',
  )
  add('Mean over carrier', am?.meanToCarrier, v => `${v.toFixed(3)} : 1`, 'against the mean envelope')
  const share = neighbourShare(m)
  const meanW =
    carrierW !== null && am
      ? carrierW * am.meanToCarrier * (1 + (am.unmodulated?.carrierShift ?? 0)) ** 2
      : null
  add(
    'A wattmeter would show',
    meanW,
    v => `${v.toFixed(2)} W`,
    `true mean, in total${share === null ? '' : `; ${((meanW ?? 0) * (1 - share)).toFixed(2)} W of it inside the channel`}${am?.unmodulated ? '' : '; a shift of the carrier is not in it'}`,
  )
  if (fm?.deviationPositiveHz != null && fm.deviationNegativeHz != null && fm.audioHz !== null)
    add(
      'One side against the other',
      (fm.deviationPositiveHz - fm.deviationNegativeHz) /
        Math.max(1, fm.deviationPositiveHz + fm.deviationNegativeHz),
      ratio,
      'of a limiter that clips evenly: none',
    )
  if (fm?.deviationFundamentalHz != null)
    add(
      'Tone that nulls the carrier',
      fm.deviationFundamentalHz / FIRST_NULL,
      hz,
      'at this deviation, by the first zero of J0: a second opinion on it',
    )
  add('Deviation, rms', fm?.deviationRmsHz, hz)
  add('Deviation of the tone alone', fm?.deviationFundamentalHz, hz)
  add('Carson bandwidth', fm?.carsonHz, v => `${(v / 1000).toFixed(2)} kHz`, 'twice deviation and tone')
  add(
    'Carrier line',
    fm?.carrierLineDbc,
    v => `${v.toFixed(1)} dBc`,
    'vanishes at a deviation of 2.405 times the tone',
  )
  add('Residual FM', fm?.residualHz, hz, '50 Hz to 3 kHz, without the tone')
  add(
    'PEP',
    ssb?.pepDbfs,
    v => `${v.toFixed(1)} dBFS`,
    ssb?.meanPowerDbfs == null ? '' : `mean ${ssb.meanPowerDbfs.toFixed(1)} dBFS`,
  )
  add('PEP over mean', ssb?.pepToMeanDb, db, 'two clean equal tones: 3.0 dB')
  const least = (figure: keyof NonNullable<Measurement['ssb']>) =>
    ssb?.bounds.includes(figure) ? 'at least ' : ''
  for (const [order, figure, below, pep] of [
    ['third', 'imd3DbBelowTone', ssb?.imd3DbBelowTone, ssb?.imd3DbBelowPep],
    ['fifth', 'imd5DbBelowTone', ssb?.imd5DbBelowTone, ssb?.imd5DbBelowPep],
  ] as const)
    add(
      `Products of the ${order} order`,
      below,
      v => `${least(figure)}${v.toFixed(1)} dB below the stronger tone`,
      `${least(figure)}${pep?.toFixed(1)} dB below PEP`,
    )
  add(
    'Carrier below the stronger tone',
    ssb?.carrierDbBelowTone,
    v => `${least('carrierDbBelowTone')}${db(v)}`,
    ssb?.carrierDbBelowPep == null
      ? ''
      : `${least('carrierDbBelowTone')}${db(ssb.carrierDbBelowPep)} below PEP`,
  )
  add(
    'Opposite sideband',
    ssb?.oppositeSidebandDb,
    v => `${least('oppositeSidebandDb')}${v.toFixed(1)} dB below the stronger tone`,
  )
  add('Tone', am?.audioHz ?? fm?.audioHz ?? audio?.fundamentalHz, hz)
  const thd = am?.thd ?? fm?.thd ?? audio?.thd
  add('Distortion', thd, v => percent(v, 2), 'of the fundamental (THD-F)')
  add(
    'SINAD',
    am?.sinadDb ?? fm?.sinadDb ?? audio?.sinadDb,
    db,
    audio ? 'whole band' : 'of the demodulated tone',
  )
  add(
    'Occupied bandwidth, 99 %',
    spectrum?.occupiedBandwidthHz,
    v => `${(v / 1000).toFixed(2)} kHz`,
    spectrum ? `${spectrum.window}, RBW ${Math.round(spectrum.rbwHz)} Hz` : '',
  )
  add('Level', m.carrier?.levelDbfs ?? audio?.levelDbfs, v => `${v.toFixed(1)} dBFS`)
  return lines
}
