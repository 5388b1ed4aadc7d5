/** What makes a reading of a sheet less sure, and what to do about it. */
import type { Worksheet } from '../worksheet/worksheet'
import type { SeenBox } from './boxes'
import type { FoundSheet } from './find'
import { through } from '../../numeric/homography'
import type { FittedTone, Light } from './light'

/** Said where the printed greys are off, by which the sheet is read. */
export const PRINTER_DOUBT =
  'The printed greys are not grey, or not even: colours are less sure until the printer is calibrated.'

/**
 * When it is to be photographed again, or doubted. Logarithms of light; millimetres; measured on generated photographs.
 */
const DOUBT = {
  shadow: 0.1,
  glare: 0.04,
  clippedPaper: 0.08,
  rough: 0.2,
  tinted: 0.22,
  blur: 0.5,
  curl: 0.8,
  pixels: 2.5,
  spread: 0.5
} as const

interface Looked {
  readonly found: FoundSheet
  readonly light: Light
  readonly tone: FittedTone
}
export function doubtsOf({ found, light, tone }: Looked, sheet: Worksheet): string[] {
  const a = through(found.map, { x: sheet.width / 2 - 5, y: sheet.height / 2 }),
    b = through(found.map, { x: sheet.width / 2 + 5, y: sheet.height / 2 })
  const pixels = Math.hypot(a.x - b.x, a.y - b.y) / 10
  const said: string[] = []
  if (light.clipped > DOUBT.clippedPaper)
    said.push('The paper is overexposed: photograph it a little darker, without a flash.')
  if (light.unevenness.most > DOUBT.shadow)
    said.push('A shadow lies across the sheet: take it again where nothing throws one.')
  if (tone.tinted > DOUBT.tinted || tone.rough > DOUBT.rough) said.push(PRINTER_DOUBT)
  if (found.blur / pixels > DOUBT.blur) said.push('The photograph is blurred: hold still, and tap the sheet to focus.')
  if (found.off / pixels > DOUBT.curl) said.push('The paper is curled: weigh its corners down.')
  if (pixels < DOUBT.pixels) said.push('The sheet is small in the photograph: come closer.')
  return said
}

/** Why one box is not to be trusted; null when it is. */
export function doubtOf({ clipped, spread }: SeenBox): string | null {
  if (clipped > DOUBT.glare) return 'glare'
  return spread > DOUBT.spread ? 'uneven: a shadow’s edge, or strokes' : null
}
