/** A value as light, and as a grey. */
import { convertValueToLuminance } from '~~/core/colour/lab'
import { hexOfLinear } from '~~/core/colour/srgb'

export const luminanceOfValue = convertValueToLuminance
export function greyOfValue(value: number): string {
  const Y = convertValueToLuminance(value)
  return hexOfLinear([Y, Y, Y])
}
