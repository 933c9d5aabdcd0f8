/**
 * The first field of what is drawn takes the keys at once. The design system's own waits for its animation:
 * whoever types by then has his letters taken to another field.
 */
export const vFocus = {
  mounted: (element: HTMLElement) => element.querySelector<HTMLElement>('input, textarea')?.focus(),
}
