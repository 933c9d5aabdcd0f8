import { messageWords } from '#shared/words/messageWords'
import { t } from '#shared/i18n'
import type { Drawn, Inks, Picture } from './pictureParts'

/** Where the power lands, channel by channel. */
export function channelsPicture(both: Drawn, inks: Inks): Picture | null {
  const drawn = both.filter(b => b.p.channels.length > 2)
  if (drawn.length === 0) return null
  const least = Math.floor(Math.min(...drawn.flatMap(b => b.p.channels.map(c => c.dbc))) / 10) * 10
  const traces = drawn.map(({ p, name, stroke }) => ({
    x: p.channels.map(c => c.offsetHz / 10_000),
    y: p.channels.map(c => c.dbc - least),
    base: least,
    name,
    type: 'bar',
    marker: { color: p.channels.map(c => (c.offsetHz === 0 ? inks.ink : stroke.color)) },
  }))
  return {
    id: 'channels',
    title: t('signals.adjacentChannelPower'),
    note: t('signals.channelByChannelRelativeToThe'),
    traces,
    layout: {
      barmode: 'group',
      xaxis: { title: { text: t('signals.channelsAway') } },
      yaxis: { title: { text: 'dB' } },
    },
  }
}

/** Products of two tones, harmonics of one. */
export function productsPicture(both: Drawn, inks: Inks): Picture | null {
  const drawn = both.filter(b => b.p.products.length > 0)
  if (drawn.length === 0) return null
  return {
    id: 'products',
    title: t('signals.productsAndHarmonics'),
    note: t('signals.dbRelativeToTheTone'),
    traces: drawn.map(({ p, name, stroke }, k) => ({
      x: p.products.map(d => messageWords(d.name)),
      y: p.products.map(d => d.db),
      name,
      type: 'bar',
      marker: { color: k === 0 ? inks.accent : stroke.color },
    })),
    layout: { barmode: 'group', xaxis: {}, yaxis: { title: { text: 'dB' } } },
  }
}
