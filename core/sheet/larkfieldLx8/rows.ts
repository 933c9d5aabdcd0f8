import { SIX_BANDS, bandChannel, channelName, channelPlan } from '../../rules'
import { point, want } from '../build'
import { MIDDLE, SIDEBAND, TONE_HZ, ssb } from './targets'

/** Power of every band, one row each. */
export const bandPowers = SIX_BANDS.map(band => {
  const channel = bandChannel(band, 19)
  return point(
    `pep-${band}`,
    `USB ${channelName(channelPlan('six-band'), channel)}, one tone`,
    ssb.USB.keyed(channel, { toneHz: TONE_HZ, coverage: band === 'D' ? 'standard' : 'expanded' }),
    [want('pepW', null, false)],
  )
})

/** Frequency of a sideband by one tone. */
export const oneTone = (mode: 'USB' | 'LSB') =>
  point(
    mode,
    `${mode} D 19, 1 kHz`,
    ssb[mode].keyed(MIDDLE, { toneHz: TONE_HZ, also: 'clarifier at 12 o\u2019clock' }),
    [want('carrierHz', SIDEBAND[mode], false)],
  )
