/**
 * A colour with a wanted value and a wanted hue: OKLab lightness is solved so that L* comes out as asked, and
 * what the gamut has no room for loses chroma, never hue or value.
 */
import { convertValueToLuminance, LUMINANCE } from './lab'
import type { Oklab } from './oklab'
import type { Rgb } from './srgb'

/** What rounding leaves: much less than a byte's step, since near black that already turns the hue. */
const SLACK = 1e-6
const NEWTON_ROUNDS = 8
const CHROMA_ROUNDS = 24
/** Chroma is found to this share of what was wanted. */
const CHROMA_STEP = 1 / 500
/** Luminance that is as good as the wanted one: a thousandth of L* at the dark end. */
const CLOSE = 1e-6

/** Where a colour is put: three numbers of the caller's, reused so that no pixel allocates. */
export type LinearOut = Float64Array | Float32Array | number[]

const [YR, YG, YB] = LUMINANCE

/** Linear sRGB of OKLab into `out`. @returns its luminance. */
function linearInto(L: number, a: number, b: number, out: LinearOut): number {
  const l0 = L + 0.3963377774 * a + 0.2158037573 * b,
    m0 = L - 0.1055613458 * a - 0.0638541728 * b,
    s0 = L - 0.0894841775 * a - 1.291485548 * b
  const l = l0 * l0 * l0,
    m = m0 * m0 * m0,
    s = s0 * s0 * s0
  const R = 4.0767416621 * l - 3.3077115913 * m + 0.2309699292 * s
  const G = -1.2684380046 * l + 2.6097574011 * m - 0.3413193965 * s
  const B = -0.0041960863 * l - 0.7034186147 * m + 1.707614701 * s
  out[0] = R
  out[1] = G
  out[2] = B
  return YR * R + YG * G + YB * B
}

/** Luminance as a sum of the three cubes: its slope in L is three times that of their squares. */
const SLOPE_L = 3 * (YR * 4.0767416621 - YG * 1.2684380046 - YB * 0.0041960863)
const SLOPE_M = 3 * (YG * 2.6097574011 - YR * 3.3077115913 - YB * 0.7034186147)
const SLOPE_S = 3 * (YR * 0.2309699292 - YG * 0.3413193965 + YB * 1.707614701)

/**
 * Solves OKLab lightness for a luminance at given axes by Newton's rule. @param from a lightness near it.
 * @returns the lightness; its colour is in `out`.
 */
function solve(Y: number, a: number, b: number, from: number, out: LinearOut): number {
  let L = from
  for (let round = 0; round < NEWTON_ROUNDS; round++) {
    const off = linearInto(L, a, b, out) - Y
    if (off < CLOSE && off > -CLOSE) return L
    const l0 = L + 0.3963377774 * a + 0.2158037573 * b,
      m0 = L - 0.1055613458 * a - 0.0638541728 * b,
      s0 = L - 0.0894841775 * a - 1.291485548 * b
    const slope = SLOPE_L * l0 * l0 + SLOPE_M * m0 * m0 + SLOPE_S * s0 * s0
    if (slope <= 1e-9) return L
    L -= off / slope
  }
  linearInto(L, a, b, out)
  return L
}

/** How far a colour lies outside the gamut: 0 or less inside. */
function outside(out: LinearOut): number {
  const R = out[0]!,
    G = out[1]!,
    B = out[2]!
  const high = (R > G ? (R > B ? R : B) : G > B ? G : B) - 1,
    low = -(R < G ? (R < B ? R : B) : G < B ? G : B)
  return (high > low ? high : low) - SLACK
}

/**
 * @param value wanted L*, held to 0–100. @param a wanted OKLab axes: their direction is the hue, their length the most
 * chroma.
 * @param out linear sRGB 0–1, overwritten. @param near an OKLab lightness near the wanted one, where one is known.
 */
export function colourHolding(value: number, a: number, b: number, out: LinearOut, near?: number): void {
  const held = value < 0 ? 0 : value > 100 ? 100 : value,
    Y = convertValueToLuminance(held)
  // The cube root of luminance, which L* is made of above its darkest steps, is the lightness of a grey.
  let L = solve(Y, a, b, near ?? (held + 16) / 116, out),
    over = outside(out)
  if (over > 0) {
    // Chroma is taken between one that fits and one that does not, nearer the one that errs less (regula falsi,
    // Illinois rule).
    let low = 0,
      high = 1,
      under = -Math.min(Y, 1 - Y) - SLACK,
      lastFit = false,
      fitted = false
    for (let round = 0; round < CHROMA_ROUNDS && high - low > CHROMA_STEP; round++) {
      const mid = Math.min(
        high - 0.02 * (high - low),
        Math.max(low + 0.02 * (high - low), (low * over - high * under) / (over - under))
      )
      // The lightness moves little from round to round: the last one is a good start.
      L = solve(Y, a * mid, b * mid, L, out)
      const now = outside(out)
      if (now <= 0) {
        low = mid
        under = now
        if (fitted && lastFit) over /= 2
        lastFit = fitted = true
      } else {
        high = mid
        over = now
        if (fitted && !lastFit) under /= 2
        lastFit = false
        fitted = true
      }
    }
    solve(Y, a * low, b * low, L, out)
  }
  for (let c = 0; c < 3; c++) out[c] = out[c]! < 0 ? 0 : out[c]! > 1 ? 1 : out[c]!
}

/** The same hue and chroma at another value; what the gamut has not there is greyer. @returns linear sRGB. */
export function atValue([, a, b]: Oklab, value: number): Rgb {
  const out: [number, number, number] = [0, 0, 0]
  colourHolding(value, a, b, out)
  return out
}
