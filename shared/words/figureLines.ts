import { J0_ZEROS } from '#core/numeric/bessel'
import { groupDigits } from '#core/quantity'
import { adjacentShare, type Measurement } from '#core/signal'

/** One figure beside the readings, as text. */
export interface FigureLine {
  readonly label: string
  readonly value: string
  readonly why: string
}

/** What rounds to nothing has no sign [ratio]. */
const NEXT_TO_NOTHING = 5e-4

type Show = (v: number) => string
const percent = (ratio: number, digits = 1) => `${(100 * ratio).toFixed(digits)} %`
const hertz: Show = v => `${groupDigits(v, 1)} Hz`
const kilohertz: Show = v => `${(v / 1000).toFixed(2)} kHz`
const decibel: Show = v => `${v.toFixed(1)} dB`
const fullScale: Show = v => `${v.toFixed(1)} dBFS`
const share: Show = v => percent(Math.abs(v) < NEXT_TO_NOTHING ? 0 : v)

/** A line where there is a figure, to be spread among others. */
function line(label: string, value: number | null | undefined, show: Show, why = ''): FigureLine[] {
  return typeof value === 'number' && Number.isFinite(value) ? [{ label, value: show(value), why }] : []
}

/** The figures that no limit asks for, in the order of looking. */
export function figureLines(m: Measurement, carrierW: number | null = null): FigureLine[] {
  return [...carrierLines(m), ...amLines(m, carrierW), ...fmLines(m), ...ssbLines(m), ...commonLines(m)]
}

function carrierLines({ carrier, durationS }: Measurement): FigureLine[] {
  const drift = carrier?.drift
  const movedHz = drift && drift.tauS === null ? drift.endHz - drift.startHz : null
  return [
    ...line('Error', carrier?.errorPpm, v => `${v.toFixed(2)} ppm`, 'from the nominal channel'),
    ...line(
      'Settles at',
      drift?.finalHz,
      v => `${groupDigits(v, 0)} Hz`,
      `time constant ${drift?.tauS?.toFixed(1)} s`,
    ),
    ...line('Drift', movedHz, v => `${v.toFixed(1)} Hz`, `in ${durationS.toFixed(1)} s`),
  ]
}

/** Two tones that make up the modulation. */
function twoTones(tonesHz: readonly number[] | undefined): FigureLine[] {
  if (tonesHz?.length !== 2) return []
  return line(
    'Two tones',
    tonesHz[0],
    hertz,
    `and ${hertz(tonesHz[1]!)}: peaks are taken where they coincide`,
  )
}

function amLines(m: Measurement, carrierW: number | null): FigureLine[] {
  const { am } = m
  if (!am) return []
  const { peaks, unmodulated } = am
  const against =
    unmodulated?.startS === null ? 'the unmodulated carrier as given' : 'the unmodulated carrier'
  return [
    ...line('Depth, mean of both peaks', am.depthTrough, share, 'cannot exceed 100 %'),
    ...twoTones(am.tonesHz),
    ...line(
      'Positive peak exceeded 0.1 % of the time',
      peaks?.crest999,
      share,
      peaks ? `1 % of the time: ${percent(peaks.crest99)}` : '',
    ),
    ...line(
      'Negative peak exceeded 0.1 % of the time',
      peaks?.trough999,
      share,
      peaks ? `1 % of the time: ${percent(peaks.trough99)}` : '',
    ),
    ...line('Depth of the tone alone', am.depthFundamental, share, 'relative to the mean envelope'),
    ...line('Carrier shift', unmodulated?.carrierShift, share, `mean envelope relative to ${against}`),
    ...line('Carrier cut-off', am.pinchedRatio, share, 'of the time'),
    ...line('Flat-topped', am.flatTopRatio, share, 'of the time'),
    ...line(
      'PEP over carrier',
      am.pepToCarrier,
      v => `${v.toFixed(2)} : 1`,
      'relative to the mean envelope; full depth of a sine is 4 : 1',
    ),
    ...line(
      'Average over carrier',
      am.meanToCarrier,
      v => `${v.toFixed(3)} : 1`,
      'relative to the mean envelope',
    ),
    ...wattmeterLine(m, carrierW),
  ]
}

function wattmeterLine(m: Measurement, carrierW: number | null): FigureLine[] {
  if (carrierW === null || !m.am) return []
  const { meanToCarrier, unmodulated } = m.am
  const outside = adjacentShare(m)
  const meanW = carrierW * meanToCarrier * (1 + (unmodulated?.carrierShift ?? 0)) ** 2
  const inside = outside === null ? '' : `; ${(meanW * (1 - outside)).toFixed(2)} W of it inside the channel`
  const shift = unmodulated ? '' : '; carrier shift not included'
  return line(
    'Expected average power',
    meanW,
    v => `${v.toFixed(2)} W`,
    `true average, in total${inside}${shift}`,
  )
}

function fmLines({ fm }: Measurement): FigureLine[] {
  if (!fm) return []
  const { peaks, deviationPositiveHz: up, deviationNegativeHz: down, deviationFundamentalHz: tone } = fm
  const apart =
    up !== null && down !== null && fm.audioHz !== null ? (up - down) / Math.max(1, up + down) : null
  return [
    ...twoTones(fm.tonesHz),
    ...line(
      'Deviation + exceeded 0.1 % of the time',
      peaks?.positive999Hz,
      hertz,
      peaks ? `1 % of the time: ${hertz(peaks.positive99Hz)}` : '',
    ),
    ...line(
      'Deviation − exceeded 0.1 % of the time',
      peaks?.negative999Hz,
      hertz,
      peaks ? `1 % of the time: ${hertz(peaks.negative99Hz)}` : '',
    ),
    ...line('Deviation asymmetry', apart, share, 'zero if the limiter clips evenly'),
    ...line(
      'Tone that nulls the carrier',
      tone && tone / J0_ZEROS[0],
      hertz,
      'at this deviation, by the first zero of J0: an independent check',
    ),
    ...line('Deviation, rms', fm.deviationRmsHz, hertz),
    ...line('Deviation of the tone alone', tone, hertz),
    ...line('Carson bandwidth', fm.carsonHz, kilohertz, 'twice deviation and tone'),
    ...line(
      'Carrier line',
      fm.carrierLineDbc,
      v => `${v.toFixed(1)} dBc`,
      'vanishes at a deviation of 2.405 times the tone',
    ),
    ...line('Residual FM', fm.residualHz, hertz, '50 Hz to 3 kHz, without the tone'),
  ]
}

function ssbLines({ ssb }: Measurement): FigureLine[] {
  if (!ssb) return []
  const least = (figure: keyof typeof ssb) => (ssb.bounds.includes(figure) ? 'at least ' : '')
  const belowTone =
    (figure: keyof typeof ssb): Show =>
    v =>
      `${least(figure)}${decibel(v)} below the stronger tone`
  const belowPep = (figure: keyof typeof ssb, db: number | null) =>
    db === null ? '' : `${least(figure)}${decibel(db)} below PEP`
  return [
    ...line(
      'PEP',
      ssb.pepDbfs,
      fullScale,
      ssb.meanPowerDbfs === null ? '' : `average ${fullScale(ssb.meanPowerDbfs)}`,
    ),
    ...line('PEP over average', ssb.pepToMeanDb, decibel, 'two clean equal tones: 3.0 dB'),
    ...line(
      'Third-order products',
      ssb.imd3DbBelowTone,
      belowTone('imd3DbBelowTone'),
      belowPep('imd3DbBelowTone', ssb.imd3DbBelowPep),
    ),
    ...line(
      'Fifth-order products',
      ssb.imd5DbBelowTone,
      belowTone('imd5DbBelowTone'),
      belowPep('imd5DbBelowTone', ssb.imd5DbBelowPep),
    ),
    ...line(
      'Carrier suppression, below the stronger tone',
      ssb.carrierDbBelowTone,
      v => `${least('carrierDbBelowTone')}${decibel(v)}`,
      belowPep('carrierDbBelowTone', ssb.carrierDbBelowPep),
    ),
    ...line('Opposite sideband', ssb.oppositeSidebandDb, belowTone('oppositeSidebandDb')),
  ]
}

function commonLines({ am, fm, audio, spectrum, carrier }: Measurement): FigureLine[] {
  return [
    ...line('Tone', am?.audioHz ?? fm?.audioHz ?? audio?.fundamentalHz, hertz),
    ...line('Distortion', am?.thd ?? fm?.thd ?? audio?.thd, v => percent(v, 2), 'of the fundamental (THD-F)'),
    ...line(
      'SINAD',
      am?.sinadDb ?? fm?.sinadDb ?? audio?.sinadDb,
      decibel,
      audio ? 'whole band' : 'of the demodulated tone',
    ),
    ...line(
      'Occupied bandwidth, 99 %',
      spectrum?.occupiedBandwidthHz,
      kilohertz,
      spectrum ? `${spectrum.window}, RBW ${Math.round(spectrum.rbwHz)} Hz` : '',
    ),
    ...line('Level', carrier?.levelDbfs ?? audio?.levelDbfs, fullScale),
  ]
}
