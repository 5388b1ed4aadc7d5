/** Everything the product can say of one colour: the `colour` command and the probe. */
import { convertLinearToLab, luminanceOf } from '../colour/lab'
import { convertPercentToMunsell } from '../colour/munsell'
import { convertLinearToOklab, convertOklabToOklch } from '../colour/oklab'
import { formatHex, hexOfLinear, linearOfHex, parseHex, type Rgb } from '../colour/srgb'
import { kindOf, type Kind } from '../colour/kinds'
import { temperatureOf } from '../colour/temperature'
import { round1, roundAngle, roundTo } from '../numeric/round'
import { anchorAt, complementOn, positionOn, stepAt } from './wheel'
import type { StepName, WheelName } from './steps'

export interface ColourDescription {
  readonly hex: string
  readonly value: number
  readonly munsellValue: number
  readonly lab: readonly [number, number, number]
  readonly oklch: { readonly l: number; readonly c: number; readonly h: number | null }
  readonly wheel: WheelName
  readonly position: number | null
  readonly step: StepName | null
  readonly kind: Kind
  readonly temperature: number
  readonly complement: string | null
}

/** Kind of a colour on a wheel, finding its own anchor. */
export function kindOn(wheel: WheelName, linear: Rgb): Kind {
  const position = positionOn(wheel, linear)
  return position === null ? 'neutral' : kindOf(linear, anchorAt(wheel, position))
}

/** @throws RangeError when `hex` is not a colour. */
export function describeColour(hex: string, wheel: WheelName): ColourDescription {
  const linear = linearOfHex(hex)
  const lab = convertLinearToLab(linear)
  const oklab = convertLinearToOklab(linear)
  const { l, c, h } = convertOklabToOklch(oklab)
  const position = positionOn(wheel, linear)
  const complement = complementOn(wheel, linear)
  return {
    hex: formatHex(parseHex(hex)),
    value: round1(lab[0]),
    munsellValue: roundTo(convertPercentToMunsell(100 * luminanceOf(linear)), 2),
    lab: [roundTo(lab[0], 4), roundTo(lab[1], 4), roundTo(lab[2], 4)],
    oklch: { l: roundTo(l, 4), c: roundTo(c, 4), h: h === null ? null : roundAngle(h) },
    wheel,
    position: position === null ? null : roundAngle(position),
    step: position === null ? null : stepAt(wheel, position),
    kind: position === null ? 'neutral' : kindOf(linear, anchorAt(wheel, position)),
    temperature: round1(temperatureOf(oklab)),
    complement: complement === null ? null : hexOfLinear(complement)
  }
}
