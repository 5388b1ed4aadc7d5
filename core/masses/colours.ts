/** The same masses in colour: each takes a hue while its value stands still. */
import { atValue } from '../colour/hold'
import { hexOfLinear } from '../colour/srgb'
import { oklabOf } from '../colour/oklab'
import { hueOf } from '../numeric/angle'
import { schemePositions, type SectorScheme } from '../wheel/schemes'
import type { WheelName } from '../wheel/steps'
import { anchorAt } from '../wheel/wheel'

interface Weighed {
  readonly value: number
  readonly share: number
}
export interface SchemeChoice {
  readonly wheel: WheelName
  readonly scheme: SectorScheme
  /** Of the key colour, degrees of the wheel. */
  readonly hue: number
}

/** OKLCH chroma that a mass is given: the largest is quiet, the smallest may be loud. */
const QUIET = 0.075,
  LOUD = 0.15
/** And of a picture in one hue. */
const ONE_HUE = 0.055

const inHue = (wheel: WheelName, position: number, { value, chroma }: { value: number; chroma: number }): string => {
  const [, a, b] = anchorAt(wheel, position)
  return hexOfLinear(atValue(oklabOf(0.5, chroma, hueOf(a, b)), value))
}

/** @returns a hex for each mass, all of one hue. */
export const oneHue = (masses: readonly Weighed[], wheel: WheelName, hue: number): string[] =>
  masses.map(({ value }) => inHue(wheel, hue, { value, chroma: ONE_HUE }))

export const VARIANTS = 3

/**
 * @param variant 0–2: which mass takes the key colour, and which its others.
 * @returns a hex for each mass, at its own value; colours that the gamut has not at it are greyer.
 */
export function inScheme(masses: readonly Weighed[], { wheel, scheme, hue }: SchemeChoice, variant: number): string[] {
  const positions = schemePositions(scheme, hue),
    // Neighbours have one sector: its edges and its middle are their colours.
    own = positions.length > 1 ? positions : scheme === 'monochrome' ? [hue] : [hue, hue + 30, hue - 30],
    order = [...masses.keys()].sort((p, q) => masses[q].share - masses[p].share)
  const hexes = new Array<string>(masses.length)
  order.forEach((mass, rank) => {
    const position = own[(rank + variant) % own.length],
      // The last of them, the smallest, speaks loudest; which one that is turns with the variant.
      chroma = QUIET + ((LOUD - QUIET) * ((rank + variant) % order.length)) / Math.max(1, order.length - 1)
    hexes[mass] = inHue(wheel, (position + 360) % 360, { value: masses[mass].value, chroma })
  })
  return hexes
}

/** Masses drawn as pixels, by rows, opaque. @param hexes of each mass. */
export function drawMasses(labels: Uint8Array, hexes: readonly string[], into: Uint32Array): void {
  const words = hexes.map(hex => {
    const n = Number.parseInt(hex.slice(1), 16)
    return (0xff000000 | ((n & 0xff) << 16) | (n & 0xff00) | (n >> 16)) >>> 0
  })
  for (let i = 0; i < labels.length; i++) into[i] = words[labels[i]]
}
