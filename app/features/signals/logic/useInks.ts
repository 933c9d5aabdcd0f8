import { onMounted, shallowRef } from 'vue'

/** Colours of the theme that pictures of a signal are drawn with, once there is a page. */
export function useInks() {
  const inks = shallowRef({
    ink: '#000',
    ink2: '#555',
    accent: '#33a',
    out: '#a00',
    win: '#cdc',
    line: '#ccc',
  })
  onMounted(() => {
    const style = getComputedStyle(document.querySelector('.v-application') ?? document.documentElement)
    const token = (name: string) => style.getPropertyValue(`--${name}`).trim()
    inks.value = {
      ink: token('ink'),
      ink2: token('ink2'),
      accent: token('accent'),
      out: token('out'),
      win: token('win'),
      line: token('line'),
    }
  })
  return inks
}
