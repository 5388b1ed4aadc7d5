/**
 * The interface's greys, measured: each is the sRGB grey of the L* in its name, so every panel is
 * neutral. The wall's mid grey is set in page.css.
 */
export const L15 = '#262626'
export const L24 = '#393939'
export const L30 = '#474747'
export const L40 = '#5e5e5e'
export const L60 = '#919191'
export const L70 = '#ababab'
export const L80 = '#c6c6c6'
export const L91 = '#e5e5e5'
export const L96 = '#f3f3f3'

/** Iron-oxide red-brown: the only hue of the interface, for actions away from the picture. */
export const IRON_OXIDE = '#7c3a26'
