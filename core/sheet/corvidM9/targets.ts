import { OWN_PLAN, bandsLike, channelPlan, type OfPlan } from '../../rules'
import { statesIn, within } from '../build'
import type { Coverage } from '../modelSheet'

export const am = statesIn('AM')
export const fm = statesIn('FM')
/** Country states: home is the one that the set is used in. */
export const HOME: Coverage = 'standard'
export const EXPANDED: Coverage = 'expanded'

const [forty] = bandsLike(channelPlan('forty'))
const [uk27] = bandsLike(channelPlan('uk27'))
/** The forty channels in AM and FM, and forty more in FM, which have rules of their own. */
export const CHANNELS: OfPlan = {
  planId: OWN_PLAN,
  bands: [
    { ...forty!, name: 'CB', modes: ['AM', 'FM'] },
    { ...uk27!, name: 'FM-UK', modes: ['FM'], ruleSetId: 'R-UK27' },
  ],
}
/** Channel 20 of either plan. */
export const TWENTY = 20
export const UK_TWENTY = 60

export const FREQUENCY = { kind: 'channel-error', lowHz: -100, highHz: 100, aimHz: 0 } as const
/** Just under 4 W: with a meter of 3 % 3.85 W is shown to be inside. */
export const POWER = within(3.6, 4, 3.85)
export const DEVIATION = within(1700, 1900, 1900)
export const DEPTH = within(0.8, 0.9, 0.85)
export const SENSITIVITY = within(null, 0.5e-6)
export const S9_V = 100e-6
export const S9 = within(8, 10, 9)
export const TONE = { toneHz: 1000, toneV: 30e-3 } as const
