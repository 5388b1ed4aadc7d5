/**
 * The painter's red–yellow–blue wheel: positions interpolated in OKLCH hue between twelve anchor
 * pigments (the mid-20th-century teaching wheel, values from memory).
 */
import { hueOf, turnBetween, wrapDegrees } from '../numeric/angle'
import { chromaOf, convertLinearToOklab, oklabOf, type Oklab } from '../colour/oklab'
import { linearOfHex } from '../colour/srgb'

/** Clockwise from yellow: position 30° × index. */
export const PAINTER_ANCHORS = [
  '#f4e500',
  '#fdc60b',
  '#f18e1c',
  '#ea621f',
  '#e32322',
  '#c4037d',
  '#6d398b',
  '#444e99',
  '#2a71b0',
  '#0696bb',
  '#008e5b',
  '#8cbb26'
] as const

const ANCHOR_LAB: readonly Oklab[] = PAINTER_ANCHORS.map(hex => convertLinearToOklab(linearOfHex(hex)))
const ANCHOR_HUE: readonly number[] = ANCHOR_LAB.map(lab => hueOf(lab[1], lab[2]))
/** Hue falls as position rises; how far each anchor lies below yellow, 0–360, strictly rising. */
const FALL: readonly number[] = [...ANCHOR_HUE.map(h => wrapDegrees(ANCHOR_HUE[0] - h)), 360]

/** OKLCH hue in degrees → position 0–360: piecewise linear, continuous, invertible. */
export function painterPositionOfHue(hueDeg: number): number {
  const fall = wrapDegrees(ANCHOR_HUE[0] - hueDeg)
  let i = 0
  while (i < 11 && FALL[i + 1] <= fall) i++
  return wrapDegrees(30 * (i + (fall - FALL[i]) / (FALL[i + 1] - FALL[i])))
}

/** Position 0–360 → OKLCH hue: the exact inverse. */
export function painterHueOfPosition(positionDeg: number): number {
  const steps = wrapDegrees(positionDeg) / 30
  const i = Math.min(11, Math.floor(steps))
  return wrapDegrees(ANCHOR_HUE[0] - (FALL[i] + (steps - i) * (FALL[i + 1] - FALL[i])))
}

/** The full-strength pigment colour at a position: lightness and chroma run between the anchors. */
export function painterAnchorAt(positionDeg: number): Oklab {
  const steps = wrapDegrees(positionDeg) / 30
  const i = Math.min(11, Math.floor(steps)),
    t = steps - i
  const from = ANCHOR_LAB[i],
    to = ANCHOR_LAB[(i + 1) % 12]
  const l = from[0] + t * (to[0] - from[0])
  const c = chromaOf(from) + t * (chromaOf(to) - chromaOf(from))
  return oklabOf(l, c, wrapDegrees(ANCHOR_HUE[i] + t * turnBetween(ANCHOR_HUE[i], ANCHOR_HUE[(i + 1) % 12])))
}
