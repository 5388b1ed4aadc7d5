/**
 * Light by wavelength: what a surface reflects, 380–730 nm in steps of ten, and which colour that is under daylight.
 * Observer: CIE 1931, 2°; light: D65 (ISO/CIE 11664-1 and -2). Both tables from memory, held by test to D65's white
 * point and to the chart's places of single wavelengths.
 */
import { WHITE, type Xyz } from '../colour/lab'
import type { Rgb } from '../colour/srgb'

export const FIRST_NM = 380,
  STEP_NM = 10
/** Share of light that comes back, 0–1, for each wavelength. */
export type Reflectance = readonly number[]

// prettier-ignore
const OBSERVER: readonly Xyz[] = [
  [0.001368, 0.000039, 0.00645], [0.004243, 0.00012, 0.02005], [0.01431, 0.000396, 0.06785],
  [0.04351, 0.00121, 0.2074], [0.13438, 0.004, 0.6456], [0.2839, 0.0116, 1.3856],
  [0.34828, 0.023, 1.74706], [0.3362, 0.038, 1.77211], [0.2908, 0.06, 1.6692],
  [0.19536, 0.09098, 1.28764], [0.09564, 0.13902, 0.81295], [0.03201, 0.20802, 0.46518],
  [0.0049, 0.323, 0.272], [0.0093, 0.503, 0.1582], [0.06327, 0.71, 0.07825],
  [0.1655, 0.862, 0.04216], [0.2904, 0.954, 0.0203], [0.43345, 0.99495, 0.00875],
  [0.5945, 0.995, 0.0039], [0.7621, 0.952, 0.0021], [0.9163, 0.87, 0.00165],
  [1.0263, 0.757, 0.0011], [1.0622, 0.631, 0.0008], [1.0026, 0.503, 0.00034],
  [0.85445, 0.381, 0.00019], [0.6424, 0.265, 0.00005], [0.4479, 0.175, 0.00002],
  [0.2835, 0.107, 0], [0.1649, 0.061, 0], [0.0874, 0.032, 0],
  [0.04677, 0.017, 0], [0.0227, 0.00821, 0], [0.011359, 0.004102, 0],
  [0.00579, 0.002091, 0], [0.002899, 0.001047, 0], [0.00144, 0.00052, 0]
]
// prettier-ignore
const D65: readonly number[] = [
  49.9755, 54.6482, 82.7549, 91.486, 93.4318, 86.6823, 104.865, 117.008, 117.812, 114.861, 115.923, 108.811,
  109.354, 107.802, 104.79, 107.689, 104.405, 104.046, 100, 96.3342, 95.788, 88.6856, 90.0062, 89.5991,
  87.6987, 83.2886, 83.6992, 80.0268, 80.2146, 82.2778, 78.2842, 69.7213, 71.6091, 74.349, 61.604, 69.8856
]

export const WAVELENGTHS = OBSERVER.length

/** What each wavelength adds to X, Y and Z: a white that reflects everything has exactly D65's white point. */
const SEEN: readonly Xyz[] = /* @__PURE__ */ weights()

function weights(): Xyz[] {
  const sums = [0, 1, 2].map(c => OBSERVER.reduce((sum, of, i) => sum + of[c] * D65[i], 0))
  // Sums in steps of ten come within a half of a hundredth of the white point, and are brought to it.
  return OBSERVER.map((of, i) => [0, 1, 2].map(c => (of[c] * D65[i] * WHITE[c]) / sums[c]) as unknown as Xyz)
}

const chromaticity = ([X, Y, Z]: readonly number[]): readonly [x: number, y: number] => [
  X / (X + Y + Z),
  Y / (X + Y + Z)
]
/** The white point that the tables have by themselves, x and y: for their test. */
export const whitePoint = (): readonly [x: number, y: number] =>
  chromaticity([0, 1, 2].map(c => OBSERVER.reduce((sum, of, i) => sum + of[c] * D65[i], 0)))
/** Where one wavelength lies, x and y: for their test. */
export const spectralPoint = (index: number): readonly [x: number, y: number] => chromaticity(OBSERVER[index])

/** XYZ to linear sRGB (IEC 61966-2-1, the inverse of its primaries' matrix). */
const TO_LINEAR: readonly Rgb[] = [
  [3.2409699419045213, -1.5373831775700935, -0.4986107602930033],
  [-0.9692436362808798, 1.8759675015077206, 0.04155505740717561],
  [0.05563007969699361, -0.20397695888897657, 1.0569715142428786]
]

/** What each wavelength adds to red, green and blue light. */
export const LINEAR_BY_WAVELENGTH: readonly Rgb[] = /* @__PURE__ */ SEEN.map(
  xyz => TO_LINEAR.map(row => row[0] * xyz[0] + row[1] * xyz[1] + row[2] * xyz[2]) as unknown as Rgb
)

/** Its colour under daylight; a strong one may lie outside 0–1. */
export function convertReflectanceToLinear(reflectance: Reflectance): Rgb {
  const sum = [0, 0, 0]
  for (let i = 0; i < WAVELENGTHS; i++)
    for (let c = 0; c < 3; c++) sum[c] += reflectance[i] * LINEAR_BY_WAVELENGTH[i][c]
  return sum as unknown as Rgb
}
