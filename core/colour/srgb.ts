/**
 * sRGB, encoded and linear (IEC 61966-2-1:1999). Encoded components are 0–1 unless a name says
 * byte; linear components are proportional to light, 0–1 inside the gamut.
 */
export type Rgb = readonly [number, number, number]

/** Encoded component 0–1 → linear light. */
export function convertSrgbToLinear(encoded: number): number {
  return encoded <= 0.04045 ? encoded / 12.92 : ((encoded + 0.055) / 1.055) ** 2.4
}

/** Linear light → encoded component. Values outside 0–1 are carried through the same curve. */
export function convertLinearToSrgb(linear: number): number {
  return linear <= 0.0031308 ? linear * 12.92 : 1.055 * linear ** (1 / 2.4) - 0.055
}

/**
 * Linear light of each of the 256 encoded bytes: the table every kernel reads. Pure, so that a page that reads none
 * leaves it out.
 */
export const LINEAR_OF_BYTE: Float64Array = /* @__PURE__ */ Float64Array.from({ length: 256 }, (_, byte) =>
  convertSrgbToLinear(byte / 255)
)

/** Linear light → nearest encoded byte, clipped to 0–255. */
export function convertLinearToByte(linear: number): number {
  return Math.round(Math.min(1, Math.max(0, convertLinearToSrgb(Math.max(0, linear)))) * 255)
}

/**
 * Encoded byte of each 65,536th of linear light: fine enough that rounding lands where the formula does. Filled from
 * byte to byte, up to the light at which rounding goes to the next: 256 powers, not 65,537, since it is made whenever a
 * page is opened.
 */
export const BYTE_OF_LINEAR: Uint8Array = /* @__PURE__ */ tableOfBytes()

function tableOfBytes(): Uint8Array {
  const table = new Uint8Array(65537)
  for (let byte = 1; byte < 256; byte++) table.fill(byte, Math.ceil(65536 * convertSrgbToLinear((byte - 0.5) / 255)))
  return table
}

/** `convertLinearToByte` through the table. */
export function encodeByte(linear: number): number {
  return BYTE_OF_LINEAR[linear <= 0 ? 0 : linear >= 1 ? 65536 : (linear * 65536 + 0.5) | 0]
}

/**
 * Reads `#rgb` or `#rrggbb` (the hash may be missing).
 * @returns three bytes. @throws RangeError naming the text when it is not a colour.
 */
export function parseHex(text: string): Rgb {
  const match = /^#?([0-9a-f]{3}|[0-9a-f]{6})$/i.exec(text.trim())
  if (!match) throw new RangeError(`"${text}" is not a colour: six hexadecimal digits are expected, as in #2a71b0`)
  const digits = match[1].length === 3 ? [...match[1]].map(d => d + d).join('') : match[1]
  return [0, 2, 4].map(i => Number.parseInt(digits.slice(i, i + 2), 16)) as unknown as Rgb
}

/** Three bytes → `#rrggbb`. */
export function formatHex(bytes: ArrayLike<number>): string {
  return '#' + [0, 1, 2].map(i => Math.round(bytes[i]).toString(16).padStart(2, '0')).join('')
}

/** Hex → linear light. */
export function linearOfHex(hex: string): Rgb {
  const [r, g, b] = parseHex(hex)
  return [LINEAR_OF_BYTE[r], LINEAR_OF_BYTE[g], LINEAR_OF_BYTE[b]]
}

/** Linear light → hex, clipped to the gamut (callers fit first when hue matters). */
export function hexOfLinear(linear: Rgb): string {
  return formatHex(linear.map(convertLinearToByte))
}
