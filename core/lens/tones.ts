/** Greys that lenses paint with. */
import { convertValueToLuminance } from '../colour/lab'
import { convertLinearToByte } from '../colour/srgb'

/** Encoded grey byte of each hundredth of L*. */
const GREY_OF_VALUE = Uint8Array.from({ length: 10002 }, (_, i) => convertLinearToByte(convertValueToLuminance(i / 100)))

/** Grey byte of a value, 0–100. */
export function greyOf(value: number): number {
  const at = (value * 100 + 0.5) | 0
  return GREY_OF_VALUE[at < 0 ? 0 : at > 10001 ? 10001 : at]
}

/** What is not meant is shown at a third of its contrast about mid grey, without colour. */
export const sunkGrey = (value: number): number => greyOf(50 + (value - 50) * 0.3)

/** Opaque part of a pixel word; canvases and rasters are little-endian RGBA everywhere this runs. */
export const ALPHA = 0xff000000

const greyWord = (byte: number): number => byte | (byte << 8) | (byte << 16)
const GREY_WORD = Uint32Array.from(GREY_OF_VALUE, greyWord)
const SUNK_WORD = Uint32Array.from({ length: 10002 }, (_, i) => greyWord(sunkGrey(i / 100)))

/** A grey pixel of a value, without its alpha. */
export const greyWordOf = (value: number): number => GREY_WORD[(value * 100 + 0.5) | 0]
/** A sunk pixel of a value, without its alpha. */
export const sunkWordOf = (value: number): number => SUNK_WORD[(value * 100 + 0.5) | 0]

/** A byte buffer seen as whole pixels. */
export const wordsOf = ({ buffer, byteOffset, length }: Uint8ClampedArray): Uint32Array => new Uint32Array(buffer, byteOffset, length >> 2)
