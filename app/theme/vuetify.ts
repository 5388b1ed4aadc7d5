/** Vuetify's defaults, set once here: no component of ours carries its own styling of one. */
import { IRON_OXIDE, L15, L24, L30, L40, L70, L80, L91, L96 } from './greys'

const shared = { primary: IRON_OXIDE, error: '#8a2f1e', info: L40, success: L40, warning: L40 }

export const themes = {
  /** Desk and reading pages. */
  paper: {
    dark: false,
    colors: { ...shared, 'background': L96, 'surface': L96, 'on-background': L15, 'on-surface': L15, 'surface-variant': L80, 'on-surface-variant': L15, 'secondary': L30 },
    variables: { 'border-color': '#000000', 'border-opacity': 0.18, 'high-emphasis-opacity': 1, 'medium-emphasis-opacity': 0.82 }
  },
  /** The bench: achromatic, dark. */
  bench: {
    dark: true,
    colors: { ...shared, 'primary': L91, 'background': L24, 'surface': L24, 'on-background': L91, 'on-surface': L91, 'surface-variant': L30, 'on-surface-variant': L91, 'secondary': L70 },
    variables: { 'border-color': '#ffffff', 'border-opacity': 0.2, 'high-emphasis-opacity': 1, 'medium-emphasis-opacity': 0.86 }
  }
}

const field = { variant: 'outlined', density: 'compact', hideDetails: 'auto', rounded: 'sm', color: 'primary' } as const

export const defaults = {
  VBtn: { variant: 'outlined', density: 'comfortable', rounded: 'sm', ripple: false },
  VTextField: field,
  VTextarea: { ...field, autoGrow: true, rows: 2 },
  VSelect: field,
  VFileInput: { ...field, prependIcon: '' },
  VCheckbox: { density: 'compact', hideDetails: 'auto', color: 'primary', ripple: false },
  VDialog: { maxWidth: 560, scrim: '#000000' },
  VCard: { rounded: 'sm', elevation: 0, border: true },
  VMenu: { transition: false },
  VList: { density: 'compact', elevation: 0 },
  VAlert: { variant: 'outlined', density: 'compact', rounded: 'sm' }
}
