import { ref, shallowRef, type Ref } from 'vue'

type Plotly = typeof import('plotly.js-cartesian-dist-min')

/** The charting library, fetched only where a picture is drawn, and the colours of the theme for it. */
export function usePlotly(host: Ref<HTMLElement | null>) {
  const plotly = shallowRef<Plotly | null>(null)
  const failed = ref(false)

  async function load() {
    try {
      plotly.value = await import('plotly.js-cartesian-dist-min')
    }
    catch {
      failed.value = true
    }
  }
  const token = (name: string) => getComputedStyle(host.value!).getPropertyValue(name).trim()

  return { plotly, failed, load, token }
}
