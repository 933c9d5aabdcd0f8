import { t } from '#shared/i18n'
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
const percent = (ratio: number, digits = 1) => `${groupDigits(100 * ratio, digits)} %`
const hertz: Show = v => `${groupDigits(v, 1)} Hz`
const kilohertz: Show = v => `${groupDigits(v / 1000, 2)} kHz`
const decibel: Show = v => `${groupDigits(v, 1)} dB`
const fullScale: Show = v => `${groupDigits(v, 1)} dBFS`
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
    ...line(
      t('figure.error'),
      carrier?.errorPpm,
      v => `${groupDigits(v, 2)} ppm`,
      t('figure.fromTheNominalChannel'),
    ),
    ...line(
      t('figure.settlesAt'),
      drift?.finalHz,
      v => `${groupDigits(v, 0)} Hz`,
      t('figure.timeConstantS', { tauS: groupDigits(drift?.tauS ?? 0, 1) }),
    ),
    ...line(
      t('figure.drift'),
      movedHz,
      v => `${groupDigits(v, 1)} Hz`,
      t('figure.inS', { durationS: groupDigits(durationS, 1) }),
    ),
  ]
}

/** Two tones that make up the modulation. */
function twoTones(tonesHz: readonly number[] | undefined): FigureLine[] {
  if (tonesHz?.length !== 2) return []
  return line(
    t('figure.twoTones'),
    tonesHz[0],
    hertz,
    t('figure.andPeaksAreTakenWhereThey', { hertz: hertz(tonesHz[1]!) }),
  )
}

/** Peaks that are passed in a thousandth of the time, and in a hundredth. */
function rarePeaks(peaks: NonNullable<Measurement['am']>['peaks']): FigureLine[] {
  return [
    ...line(
      t('figure.positivePeakExceeded01Of'),
      peaks?.crest999,
      share,
      peaks ? t('figure.onePercentOfTheTime', { percent: percent(peaks.crest99) }) : '',
    ),
    ...line(
      t('figure.negativePeakExceeded01Of'),
      peaks?.trough999,
      share,
      peaks ? t('figure.onePercentOfTheTime', { percent: percent(peaks.trough99) }) : '',
    ),
  ]
}

function amLines(m: Measurement, carrierW: number | null): FigureLine[] {
  const { am } = m
  if (!am) return []
  const { unmodulated } = am
  const against =
    unmodulated?.startS === null
      ? t('figure.theUnmodulatedCarrierAsGiven')
      : t('figure.theUnmodulatedCarrier')
  return [
    ...line(t('figure.depthMeanOfBothPeaks'), am.depthTrough, share, t('figure.cannotExceed100')),
    ...twoTones(am.tonesHz),
    ...rarePeaks(am.peaks),
    ...line(
      t('figure.depthOfTheToneAlone'),
      am.depthFundamental,
      share,
      t('figure.relativeToTheMeanEnvelope'),
    ),
    ...line(
      t('figure.carrierShift'),
      unmodulated?.carrierShift,
      share,
      t('figure.meanEnvelopeRelativeTo', { against }),
    ),
    ...line(t('figure.carrierCutOff'), am.pinchedRatio, share, t('figure.ofTheTime')),
    ...line(t('figure.flatTopped'), am.flatTopRatio, share, t('figure.ofTheTime')),
    ...line(
      t('figure.pepOverCarrier'),
      am.pepToCarrier,
      v => `${groupDigits(v, 2)} : 1`,
      t('figure.relativeToTheMeanEnvelopeFull'),
    ),
    ...line(
      t('figure.averageOverCarrier'),
      am.meanToCarrier,
      v => `${groupDigits(v, 3)} : 1`,
      t('figure.relativeToTheMeanEnvelope'),
    ),
    ...wattmeterLine(m, carrierW),
  ]
}

function wattmeterLine(m: Measurement, carrierW: number | null): FigureLine[] {
  if (carrierW === null || !m.am) return []
  const { meanToCarrier, unmodulated } = m.am
  const outside = adjacentShare(m)
  const meanW = carrierW * meanToCarrier * (1 + (unmodulated?.carrierShift ?? 0)) ** 2
  const inside =
    outside === null
      ? ''
      : t('figure.wOfItInsideTheChannel', { meanW: groupDigits(meanW * (1 - outside), 2) })
  const shift = unmodulated ? '' : t('figure.carrierShiftNotIncluded')
  return line(
    t('figure.expectedAveragePower'),
    meanW,
    v => `${groupDigits(v, 2)} W`,
    t('figure.trueAverageInTotal', { inside, shift }),
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
      t('figure.deviationUpExceeded'),
      peaks?.positive999Hz,
      hertz,
      peaks ? t('figure.onePercentOfTheTimeHz', { hertz: hertz(peaks.positive99Hz) }) : '',
    ),
    ...line(
      t('figure.deviationDownExceeded'),
      peaks?.negative999Hz,
      hertz,
      peaks ? t('figure.onePercentOfTheTimeHz', { hertz: hertz(peaks.negative99Hz) }) : '',
    ),
    ...line(t('figure.deviationAsymmetry'), apart, share, t('figure.zeroIfTheLimiterClipsEvenly')),
    ...line(
      t('figure.toneThatNullsTheCarrier'),
      tone && tone / J0_ZEROS[0],
      hertz,
      t('figure.atThisDeviationByTheFirst'),
    ),
    ...line(t('figure.deviationRms'), fm.deviationRmsHz, hertz),
    ...line(t('figure.deviationOfTheToneAlone'), tone, hertz),
    ...line(t('figure.carsonBandwidth'), fm.carsonHz, kilohertz, t('figure.twiceDeviationAndTone')),
    ...line(
      t('figure.carrierLine'),
      fm.carrierLineDbc,
      v => `${groupDigits(v, 1)} dBc`,
      t('figure.firstCarrierNull'),
    ),
    ...line(t('figure.residualFm'), fm.residualHz, hertz, t('figure.n50HzTo3KhzWithout')),
  ]
}

function ssbLines({ ssb }: Measurement): FigureLine[] {
  if (!ssb) return []
  const least = (figure: keyof typeof ssb) => (ssb.bounds.includes(figure) ? `${t('figure.atLeast')} ` : '')
  const belowTone =
    (figure: keyof typeof ssb): Show =>
    v =>
      t('figure.belowTheStrongerTone', { least: least(figure), decibel: decibel(v) })
  const belowPep = (figure: keyof typeof ssb, db: number | null) =>
    db === null ? '' : t('figure.belowPep', { least: least(figure), decibel: decibel(db) })
  return [
    ...line(
      'PEP',
      ssb.pepDbfs,
      fullScale,
      ssb.meanPowerDbfs === null ? '' : t('figure.average', { fullScale: fullScale(ssb.meanPowerDbfs) }),
    ),
    ...line(t('figure.pepOverAverage'), ssb.pepToMeanDb, decibel, t('figure.twoCleanEqualTones30')),
    ...line(
      t('figure.thirdOrderProducts'),
      ssb.imd3DbBelowTone,
      belowTone('imd3DbBelowTone'),
      belowPep('imd3DbBelowTone', ssb.imd3DbBelowPep),
    ),
    ...line(
      t('figure.fifthOrderProducts'),
      ssb.imd5DbBelowTone,
      belowTone('imd5DbBelowTone'),
      belowPep('imd5DbBelowTone', ssb.imd5DbBelowPep),
    ),
    ...line(
      t('figure.carrierSuppressionBelowTheStrongerTone'),
      ssb.carrierDbBelowTone,
      v => `${least('carrierDbBelowTone')}${decibel(v)}`,
      belowPep('carrierDbBelowTone', ssb.carrierDbBelowPep),
    ),
    ...line(t('figure.oppositeSideband'), ssb.oppositeSidebandDb, belowTone('oppositeSidebandDb')),
  ]
}

function commonLines({ am, fm, audio, spectrum, carrier }: Measurement): FigureLine[] {
  return [
    ...line(t('figure.tone'), am?.audioHz ?? fm?.audioHz ?? audio?.fundamentalHz, hertz),
    ...line(
      t('figure.distortion'),
      am?.thd ?? fm?.thd ?? audio?.thd,
      v => percent(v, 2),
      t('figure.ofTheFundamentalThdF'),
    ),
    ...line(
      'SINAD',
      am?.sinadDb ?? fm?.sinadDb ?? audio?.sinadDb,
      decibel,
      audio ? t('figure.wholeBand') : t('figure.ofTheDemodulatedTone'),
    ),
    ...line(
      t('figure.occupiedBandwidth99'),
      spectrum?.occupiedBandwidthHz,
      kilohertz,
      spectrum ? t('figure.rbwHz', { window: spectrum.window, rbwHz: Math.round(spectrum.rbwHz) }) : '',
    ),
    ...line(t('figure.level'), carrier?.levelDbfs ?? audio?.levelDbfs, fullScale),
  ]
}
