/**
 * One face for the three schools of wheel: yellow at 0 (top), clockwise, degrees.
 * A neutral has no position; callers get null and say so.
 */
import { hueOf, wrapDegrees } from '../numeric/angle'
import { chromaOf, convertLinearToOklab, NEUTRAL_CHROMA, oklabOf, type Oklab } from '../colour/oklab'
import type { Rgb } from '../colour/srgb'
import { fitToGamut } from '../colour/gamut'
import { painterAnchorAt, painterHueOfPosition, painterPositionOfHue } from './painter'
import { processAnchorAt, processColourAt, processPositionOfLinear } from './process'
import { cuspOfHue } from './cusp'
import { PAINTER_STEPS, PROCESS_STEPS, stepIndex, type StepName, type WheelName } from './steps'

/** The perceptual wheel: equal steps of OKLCH hue, yellow (110°) at the top. */
const perceptualPositionOfHue = (hueDeg: number): number => wrapDegrees(110 - hueDeg)

/** Position of linear sRGB on a wheel, or null for a neutral. */
export function positionOn(wheel: WheelName, linear: Rgb): number | null {
  const lab = convertLinearToOklab(linear)
  if (chromaOf(lab) < NEUTRAL_CHROMA) return null
  if (wheel === 'process') return processPositionOfLinear(linear)
  const hue = hueOf(lab[1], lab[2])
  return wheel === 'painter' ? painterPositionOfHue(hue) : perceptualPositionOfHue(hue)
}

/**
 * The colour at a position with a wanted lightness and chroma; where the gamut has not that much
 * chroma it is reduced, never clipped by channel.
 * @param lightness OKLab L 0–1. @param chroma OKLCH C. @returns linear sRGB.
 */
export function colourAt(
  wheel: WheelName,
  {
    positionDeg,
    lightness,
    chroma
  }: { readonly positionDeg: number; readonly lightness: number; readonly chroma: number }
): Rgb {
  if (wheel === 'process') return processColourAt(positionDeg, lightness, chroma)
  const hue = wheel === 'painter' ? painterHueOfPosition(positionDeg) : perceptualPositionOfHue(positionDeg)
  return fitToGamut(oklabOf(lightness, chroma, hue))
}

/** The full-strength colour at a position, OKLab: what tints, shades and tones are mixed from. */
export function anchorAt(wheel: WheelName, positionDeg: number): Oklab {
  if (wheel === 'painter') return convertLinearToOklab(fitToGamut(painterAnchorAt(positionDeg)))
  if (wheel === 'process') return processAnchorAt(positionDeg)
  return cuspOfHue(perceptualPositionOfHue(positionDeg))
}

/** The named step nearest a position; the perceptual wheel takes the painter's name for its hue. */
export function stepAt(wheel: WheelName, positionDeg: number): StepName {
  if (wheel === 'process') return PROCESS_STEPS[stepIndex(positionDeg)]
  const painterPosition = wheel === 'painter' ? positionDeg : painterPositionOfHue(perceptualPositionOfHue(positionDeg))
  return PAINTER_STEPS[stepIndex(painterPosition)]
}

/** The colour opposite on the same wheel, at the same lightness, or null for a neutral. */
export function complementOn(wheel: WheelName, linear: Rgb): Rgb | null {
  const position = positionOn(wheel, linear)
  if (position === null) return null
  const lab = convertLinearToOklab(linear)
  return colourAt(wheel, { positionDeg: wrapDegrees(position + 180), lightness: lab[0], chroma: chromaOf(lab) })
}
