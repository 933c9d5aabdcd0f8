/**
 * Every colour of the application, in both themes; both are designed, none is derived. Vuetify writes them as
 * `--v-theme-…`, `assets/tokens.css` gives them the names that our styles use.
 */
export const diapasonThemes = {
  day: {
    dark: false,
    colors: {
      'background': '#e4e8e4',
      'surface': '#f5f7f4',
      'on-background': '#13201d',
      'secondary': '#4d5b57',
      'primary': '#3d35a8',
      'success': '#0a6a50',
      'error': '#b02a12',
      'warning': '#805600',
      'on-surface': '#13201d',
      'info': '#3d35a8',
      'line': '#c8d0ca',
      'line2': '#a3aea8',
      'edge': '#7b8883',
      'inbg': '#cfe3d8',
      'outbg': '#f3d8d1',
      'win': '#bddccd',
    },
  },
  night: {
    dark: true,
    colors: {
      'background': '#0e1413',
      'surface': '#161e1c',
      'on-background': '#e6ece8',
      'secondary': '#9aa8a2',
      'primary': '#b0a8ff',
      'success': '#56c9a0',
      'error': '#ff8a6e',
      'warning': '#e6bb55',
      'on-surface': '#e6ece8',
      'info': '#b0a8ff',
      'line': '#28332f',
      'line2': '#46544f',
      'edge': '#74827c',
      'inbg': '#17352c',
      'outbg': '#40201a',
      'win': '#1f4a3c',
    },
  },
}
