/** Vuetify carries the same tokens as assets/tokens.css; both themes are designed, none is derived. */
export const diapasonThemes = {
  day: {
    dark: false,
    colors: {
      'background': '#e4e8e4',
      'surface': '#f5f7f4',
      'on-background': '#13201d',
      'on-surface': '#13201d',
      'primary': '#3d35a8',
      'secondary': '#4d5b57',
      'success': '#0a6a50',
      'error': '#b02a12',
      'warning': '#805600',
      'info': '#3d35a8',
    },
  },
  night: {
    dark: true,
    colors: {
      'background': '#0e1413',
      'surface': '#161e1c',
      'on-background': '#e6ece8',
      'on-surface': '#e6ece8',
      'primary': '#b0a8ff',
      'secondary': '#9aa8a2',
      'success': '#56c9a0',
      'error': '#ff8a6e',
      'warning': '#e6bb55',
      'info': '#b0a8ff',
    },
  },
}
