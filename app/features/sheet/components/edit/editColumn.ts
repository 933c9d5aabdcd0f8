/**
 * Rows of short fields that are written, moved and taken away alike: specification, test points, oscillators
 * and their like.
 */
export interface EditColumn {
  readonly key: string
  readonly label: string
  readonly kind?: 'text' | 'long' | 'number' | 'select' | 'optional'
  readonly items?: readonly { readonly value: string; readonly title: string }[]
  readonly width?: string
  /** shown when the row is opened */
  readonly more?: boolean
}
