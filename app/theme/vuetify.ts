/** Vuetify's defaults, set once here: no component of ours carries its own styling of one. */
import { BURNT_OXIDE, GREYS, IRON_OXIDE } from './greys'

const shared = { primary: IRON_OXIDE, error: BURNT_OXIDE, info: GREYS.l40, success: GREYS.l40, warning: GREYS.l40 }

export const themes = {
  /** Desk and reading pages. */
  paper: {
    dark: false,
    colors: {
      ...shared,
      background: GREYS.l96,
      surface: GREYS.l96,
      'on-background': GREYS.l15,
      'on-surface': GREYS.l15,
      'surface-variant': GREYS.l80,
      'on-surface-variant': GREYS.l15,
      secondary: GREYS.l30
    },
    variables: {
      'border-color': GREYS.l0,
      'border-opacity': 0.18,
      'high-emphasis-opacity': 1,
      'medium-emphasis-opacity': 0.82
    }
  },
  /** The bench: achromatic, dark. */
  bench: {
    dark: true,
    colors: {
      ...shared,
      // Nothing near the picture has a hue, what is wrong with a field neither: it is said in words.
      error: GREYS.l100,
      primary: GREYS.l91,
      background: GREYS.l24,
      surface: GREYS.l24,
      'on-background': GREYS.l91,
      'on-surface': GREYS.l91,
      'surface-variant': GREYS.l30,
      'on-surface-variant': GREYS.l91,
      secondary: GREYS.l70
    },
    variables: {
      'border-color': GREYS.l100,
      'border-opacity': 0.2,
      'high-emphasis-opacity': 1,
      'medium-emphasis-opacity': 0.86
    }
  }
}

const field = { variant: 'outlined', density: 'compact', hideDetails: 'auto', rounded: 'sm', color: 'primary' } as const

export const defaults = {
  VBtn: { variant: 'outlined', density: 'comfortable', rounded: 'sm', ripple: false },
  VTextField: field,
  VTextarea: { ...field, autoGrow: true, rows: 2 },
  VSelect: field,
  VAutocomplete: field,
  VCombobox: field,
  VFileInput: { ...field, prependIcon: '' },
  VCheckbox: { density: 'compact', hideDetails: 'auto', color: 'primary', ripple: false },
  VTabs: { density: 'compact', height: 32, sliderColor: 'primary', hideSlider: false },
  VTab: { ripple: false, rounded: 0, minWidth: 0, variant: 'plain' },
  VDialog: { maxWidth: 560, scrim: GREYS.l0 },
  VCard: { rounded: 'sm', elevation: 0, border: true },
  VMenu: { transition: false },
  VList: { density: 'compact', elevation: 0 },
  VAlert: { variant: 'outlined', density: 'compact', rounded: 'sm' }
}
