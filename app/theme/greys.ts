/**
 * The interface's colours for what is drawn by code: each grey is the sRGB grey of the L* in its name, so every panel
 * is neutral. Styles have the same greys by the same names in page.css (a test holds the two together).
 */
export const GREYS = {
  l0: '#000000',
  l5: '#111111',
  l15: '#262626',
  l20: '#303030',
  l24: '#393939',
  l25: '#3b3b3b',
  l30: '#474747',
  l40: '#5e5e5e',
  l50: '#777777',
  l60: '#919191',
  l70: '#ababab',
  l75: '#b9b9b9',
  l80: '#c6c6c6',
  l91: '#e5e5e5',
  l96: '#f3f3f3',
  l100: '#ffffff'
} as const

/** Iron-oxide red-brown: the only hue of the interface, for actions away from the picture. */
export const IRON_OXIDE = '#7c3a26'
/** The iron oxide's darker neighbour, for what went wrong. */
export const BURNT_OXIDE = '#8a2f1e'
/** What a demonstration is painted with until another colour is chosen: an earth. */
export const EARTH = '#8c6a4a'
