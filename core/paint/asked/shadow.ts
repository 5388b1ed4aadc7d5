/**
 * *Shadow colour*: a paint under a picture's own light. What the picture itself does from light to shadow, on a thing
 * whose colour does not change, is done to the paint: channel by channel, in linear light.
 */
import { fitToGamut } from '../../colour/gamut'
import { convertLinearToOklab } from '../../colour/oklab'
import { hexOfLinear, linearOfHex } from '../../colour/srgb'
import { temperatureOf } from '../../colour/temperature'
import { round1 } from '../../numeric/round'

/** A channel that is nearly dark in the light says nothing of the shadow. */
const LEAST = 0.004

export interface ShadowColour {
  readonly hex: string
  /** How much warmer than the paint itself, −200 to 200. */
  readonly warmer: number
}

/**
 * @param lit and @param shade the same thing in light and in shadow, hexes from the picture.
 * @throws RangeError where the shadow is lighter than the light.
 */
export function shadowOf(
  paint: string,
  { lit, shade }: { readonly lit: string; readonly shade: string }
): ShadowColour {
  const [light, dark, own] = [lit, shade, paint].map(linearOfHex),
    sum = (of: readonly number[]): number => of.reduce((s, v) => s + v, 0)
  if (sum(dark) >= sum(light))
    throw new RangeError('The second place is no darker than the first: pick the lit one first.')
  const mean = sum(dark) / sum(light)
  const linear = own.map((v, c) => v * (light[c] < LEAST ? mean : dark[c] / light[c])),
    fitted = fitToGamut(convertLinearToOklab([linear[0], linear[1], linear[2]]))
  return {
    hex: hexOfLinear(fitted),
    warmer: round1(temperatureOf(convertLinearToOklab(fitted)) - temperatureOf(convertLinearToOklab(own)))
  }
}
