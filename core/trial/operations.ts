/** What each operation does to one colour: value and the two colour axes, changed in hand. */
import { valueOfLinear } from '../colour/lab'
import { convertLinearToOklab } from '../colour/oklab'
import { LINEAR_OF_BYTE, linearOfHex } from '../colour/srgb'
import { hueOf, turnBetween } from '../numeric/angle'
import { TEMPERATURE_PER_AXIS } from '../measure/temperature'
import { NEAR_BLACK } from '../measure/value/value'
import { MEASURED_ALPHA, type Raster } from '../picture/raster'
import { anchorAt } from '../wheel/wheel'
import type { Reach } from './reach'
import type { TrialOperation } from './trial'

/** The colour of the pixel in hand, and how far its value lies from that of what is around it. */
export interface Hand {
  value: number
  a: number
  b: number
  detail: number
}
export type PixelOperation = (hand: Hand) => void

/** Every operation but light, which multiplies what the others leave. */
export type HandOperation = Exclude<TrialOperation, { kind: 'light' }>

/** @param meanValue what a range is stretched about. */
export function pixelOperation(operation: HandOperation, meanValue: () => number): PixelOperation {
  switch (operation.kind) {
    case 'value':
      return hand => {
        hand.value += operation.by
      }
    case 'range': {
      const mean = meanValue()
      return hand => {
        hand.value = mean + operation.times * (hand.value - mean)
      }
    }
    case 'temperature': {
      // T is counted along a + b: half of the step on each axis.
      const half = operation.by / TEMPERATURE_PER_AXIS / 2
      return hand => {
        hand.a += half
        hand.b += half
      }
    }
    case 'chroma':
      return hand => {
        hand.a *= operation.times
        hand.b *= operation.times
      }
    case 'hue': {
      const goal = anchorAt(operation.wheel, operation.position),
        hue = hueOf(goal[1], goal[2])
      return hand => {
        const turn = (operation.share * turnBetween(hueOf(hand.a, hand.b), hue) * Math.PI) / 180,
          cos = Math.cos(turn),
          sin = Math.sin(turn),
          { a, b } = hand
        hand.a = a * cos - b * sin
        hand.b = a * sin + b * cos
      }
    }
    case 'edges':
      return hand => {
        hand.value += operation.by * hand.detail
      }
    case 'black': {
      const [, a, b] = convertLinearToOklab(linearOfHex(operation.hex))
      return hand => {
        if (hand.value >= NEAR_BLACK.value || Math.hypot(hand.a, hand.b) >= NEAR_BLACK.chroma) return
        hand.a = a
        hand.b = b
      }
    }
  }
}

/** Pixels a mean is taken over at most: more would not move it. */
const SAMPLES = 400_000

/** Mean value of a part of the picture, weighted. @returns 50 where nothing has weight. */
export function weightedValue({ width, data }: Raster, { x0, x1, y0 }: Reach, weights: Float32Array): number {
  const across = x1 - x0,
    step = Math.max(1, Math.ceil(weights.length / SAMPLES))
  let sum = 0,
    n = 0
  for (let i = 0; i < weights.length; i += step) {
    const w = weights[i]!,
      p = 4 * ((y0 + Math.floor(i / across)) * width + x0 + (i % across))
    if (w === 0 || data[p + 3]! < MEASURED_ALPHA) continue
    sum += w * valueOfLinear([LINEAR_OF_BYTE[data[p]!]!, LINEAR_OF_BYTE[data[p + 1]!]!, LINEAR_OF_BYTE[data[p + 2]!]!])
    n += w
  }
  return n > 0 ? sum / n : 50
}
