/** The colours of each theme by their roles. */
export const THEME_COLOURS = {
  light: {
    'background': '#FAF7F0', 'paper': '#FAF7F0', 'surface': '#FFFFFF', 'surface-variant': '#1D2733', 'on-surface': '#1D2733', 'on-background': '#1D2733',
    'muted': '#5C6773', 'line': '#DDD6C8', 'primary': '#0F5E63', 'secondary': '#5C6773', 'ochre': '#B7791F', 'plum': '#6B3E75',
    'info': '#2F6FA8', 'warning': '#B7791F', 'error': '#6B3E75', 'success': '#0F5E63',
  },
  dark: {
    'background': '#14191F', 'paper': '#14191F', 'surface': '#1C232B', 'surface-variant': '#E9E4D8', 'on-surface': '#E9E4D8', 'on-background': '#E9E4D8',
    'muted': '#A3ADB8', 'line': '#38424D', 'primary': '#62B9BD', 'secondary': '#A3ADB8', 'ochre': '#E0AE5C', 'plum': '#C79AD1',
    'info': '#86B7E3', 'warning': '#E0AE5C', 'error': '#D3A6DD', 'success': '#62B9BD',
  },
}
