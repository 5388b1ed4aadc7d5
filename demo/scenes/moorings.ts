/** Boats at their moorings in one pair of opposites: what a class makes of it, each with another key colour. */
import { hexOfLinear } from '../../core/colour/srgb'
import { colourAt } from '../../core/wheel/wheel'
import { fade, poly, path, rect, dashes, type Scene } from './svg'

const W = 960,
  H = 640

/**
 * @param hue key colour, degrees of the painter wheel. @param sails how many sails carry the opposite, and how large: 1
 * is a few small places.
 */
export function moorings(hue: number, sails: number): Scene {
  const of = (lightness: number, chroma: number, position = hue): string =>
    hexOfLinear(colourAt('painter', { positionDeg: position, lightness, chroma }))
  const opposite = (lightness: number, chroma = 0.15): string => of(lightness, chroma, (hue + 180) % 360)
  const [d1, sky] = fade(of(0.96, 0.03), of(0.8, 0.08)),
    [d2, sea] = fade(of(0.55, 0.11), of(0.24, 0.06))
  const boat = ([x, y]: readonly [number, number], s: number, lit: boolean): string =>
    poly(
      `${x - 60 * s},${y} ${x + 62 * s},${y} ${x + 44 * s},${y + 26 * s} ${x - 46 * s},${y + 26 * s}`,
      of(0.16, 0.04)
    )
    + path(
      `M${x} ${y - 4} L${x} ${y - 150 * s} Q${x + 62 * s} ${y - 50 * s} ${x + 50 * s} ${y - 8} Z`,
      lit ? opposite(0.66) : of(0.88, 0.05)
    )
    + (lit ? dashes(x - 20 * s, y + 32 * s, 70 * s, 60 * s, 6, opposite(0.6, 0.1), 0.6) : '')
  const size = Math.sqrt(sails)
  const body = `<defs>${d1}${d2}</defs>${rect(0, 0, W, 260, sky)}${poly(`0,262 0,190 180,150 420,214 640,140 ${W},200 ${W},262`, of(0.44, 0.09))}
    ${rect(0, 256, W, H - 256, sea)}${dashes(0, 270, W, 350, 40, of(0.72, 0.08), 0.45)}
    ${boat([200, 350], 0.6, false)}${boat([720, 330], 0.5, false)}${boat([420, 420], 1.05 * size, true)}${boat([680, 520], 0.6 * size, sails > 0.5)}
    ${poly(`0,${H} 0,560 300,${H}`, of(0.12, 0.03))}`
  return { width: W, height: H, body }
}
