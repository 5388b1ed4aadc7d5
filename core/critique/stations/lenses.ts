/** Lenses that several stations bring. */
import type { GreyName } from '../../measure/value/greys'
import type { LensChoice } from './station'

const GREY_LABEL: Readonly<Record<GreyName, string>> = { value: 'grey, L*', luma: 'luma', hsl: 'HSL', hsv: 'HSV' }

export const PLAIN: LensChoice = { label: 'plain', request: { name: 'plain' } }
export const SQUINT: LensChoice = { label: 'squint', request: { name: 'squint' } }
export const MIRRORED: LensChoice = { label: 'mirrored', request: { name: 'mirrored' } }
export const TWO_VALUES: LensChoice = { label: '2 values', request: { name: 'two-values' } }
export const FLAT_BLACK: LensChoice = { label: 'flat black', request: { name: 'near-black' } }
export const WARM_COOL: LensChoice = { label: 'warm, cool', request: { name: 'temperature' } }

/** The grey of the class's school. */
export const greyOf = (grey: GreyName): LensChoice => ({
  label: GREY_LABEL[grey],
  request: grey === 'value' ? { name: 'grey' } : { name: 'grey', grey }
})

export const otherGreys = (school: GreyName): LensChoice[] =>
  (Object.keys(GREY_LABEL) as GreyName[]).filter(g => g !== school).map(greyOf)
