import { decimalSign } from '#core/quantity'
import { onBeforeUnmount, onMounted, ref, shallowRef, watch, type Ref } from 'vue'

type Plotly = typeof import('plotly.js-cartesian-dist-min')
type Traces = Parameters<Plotly['react']>[1]
type Layout = NonNullable<Parameters<Plotly['react']>[2]>

/** What is drawn: traces, and what of the layout is its own. */
export interface Figure {
  readonly traces: Traces
  readonly layout: Layout
}

export interface ChartParts {
  /** the figure, made anew whenever it is drawn; tokens are colours of the theme */
  readonly figure: (token: (name: string) => string) => Figure
  /** what a change of draws it anew */
  readonly on: () => unknown
  /** waited for before the first drawing */
  readonly before?: () => Promise<void>
  /** after the first drawing, to listen to it */
  readonly drawn?: (host: HTMLElement) => void
}

const QUIET = { displaylogo: false, responsive: true, displayModeBar: false } as const

/**
 * A chart and its life: the library is fetched only where a picture is drawn, the paper is that of the theme,
 * and it is cleared away with its component.
 */
export function usePlotly(host: Ref<HTMLElement | null>, { figure, on, before, drawn }: ChartParts) {
  const plotly = shallowRef<Plotly | null>(null)
  const failed = ref(false)
  const token = (name: string) => getComputedStyle(host.value!).getPropertyValue(name).trim()

  async function draw() {
    if (!plotly.value || !host.value) return
    const { traces, layout } = figure(token)
    const font = {
      family: getComputedStyle(host.value).getPropertyValue('--v-font-body'),
      size: 13,
      color: token('--ink'),
    }
    await plotly.value.react(
      host.value,
      traces,
      {
        paper_bgcolor: 'transparent',
        plot_bgcolor: 'transparent',
        separators: `${decimalSign()}\u2009`,
        ...layout,
        font: { ...font, ...layout.font },
      },
      QUIET,
    )
  }
  onMounted(async () => {
    try {
      plotly.value = await import('plotly.js-cartesian-dist-min')
    } catch {
      failed.value = true
    }
    await before?.()
    await draw()
    if (host.value && plotly.value) drawn?.(host.value)
  })
  watch(on, () => void draw(), { flush: 'post' })
  onBeforeUnmount(() => host.value && plotly.value?.purge(host.value))

  /** The picture as a file's address. */
  const image = (format: 'png' | 'svg', width: number, height: number) =>
    (plotly.value as unknown as { toImage: (host: HTMLElement, o: object) => Promise<string> }).toImage(
      host.value!,
      { format, width, height },
    )

  return { failed, image }
}
