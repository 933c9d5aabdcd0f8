import { MAX_CHANNELS_OF_A_SET, bandChannelsHz, type PlanBand } from '../../rules'
import { location, problem, twice, type SheetProblem } from './sheetProblem'

/** What does not hold together in the bands of a plan of one's own; empty = it can be used. */
export function bandProblems(bands: readonly PlanBand[]): SheetProblem[] {
  const named = bands.map(b => b.name).filter(Boolean)
  const count = bands.reduce((n, b) => n + bandChannelsHz(b).length, 0)
  return [
    ...(bands.length === 0 ? [problem('no-bands', location('sheet'))] : []),
    ...twice('band', named),
    ...(bands.length > 1 && named.length < bands.length ? [problem('unnamed-band', location('sheet'))] : []),
    ...(count > MAX_CHANNELS_OF_A_SET
      ? [problem('too-many-channels', location('sheet'), String(MAX_CHANNELS_OF_A_SET))]
      : []),
    ...bands.flatMap(ofBand),
  ]
}

function ofBand(band: PlanBand): SheetProblem[] {
  const at = location('band', band.name)
  const { channels, edgesHz } = band
  const channelsHz = bandChannelsHz(band)
  const strayHz = channels.kind === 'raster' ? channels.leftOutHz.filter(hz => !isOnRaster(hz, channels)) : []
  const outsideHz = edgesHz ? channelsHz.filter(hz => hz < edgesHz.low || hz > edgesHz.high) : []
  return [
    ...(channelsHz.length === 0 ? [problem('empty-band', at)] : []),
    ...strayHz.map(hz => problem('not-on-raster', at, megahertz(hz))),
    ...(edgesHz && edgesHz.low >= edgesHz.high ? [problem('window-upside-down', at)] : []),
    ...outsideHz.slice(0, 1).map(hz => problem('outside-band', at, megahertz(hz))),
  ]
}

function isOnRaster(
  hz: number,
  { firstHz, stepHz, lastHz }: { firstHz: number; stepHz: number; lastHz: number },
) {
  const steps = Math.round((hz - firstHz) / stepHz)
  return hz >= firstHz && hz <= lastHz && Math.round(firstHz + steps * stepHz) === hz
}

const megahertz = (hz: number) => String(hz / 1e6)
