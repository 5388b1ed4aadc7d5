/** Greys that lenses paint with. */
import { convertValueToLuminance } from '../colour/lab'
import { convertLinearToByte } from '../colour/srgb'

/** Encoded grey byte of each hundredth of L*. */
const GREY_OF_VALUE = Uint8Array.from({ length: 10002 }, (_, i) =>
  convertLinearToByte(convertValueToLuminance(i / 100))
)

/** Grey byte of a value, 0–100. */
export function greyOf(value: number): number {
  const at = (value * 100 + 0.5) | 0
  return GREY_OF_VALUE[at < 0 ? 0 : at > 10001 ? 10001 : at]
}

/** What is not meant is shown at a third of its contrast about mid grey, without colour. */
export const sunkGrey = (value: number): number => greyOf(50 + (value - 50) * 0.3)

/** Opaque part of a pixel word; canvases and rasters are little-endian RGBA everywhere this runs. */
export const ALPHA = 0xff000000 | 0

const greyWord = (byte: number): number => byte | (byte << 8) | (byte << 16)

/**
 * Entries of the tables below for one L*: a byte of grey is a quarter of one, and a small table stays in the nearest
 * cache.
 */
export const WORDS_PER_VALUE = 20
const wordsFor = (grey: (value: number) => number): Int32Array =>
  Int32Array.from({ length: 100 * WORDS_PER_VALUE + 2 }, (_, i) => greyWord(grey(i / WORDS_PER_VALUE)))
/** Grey pixels without their alpha: entry `value × WORDS_PER_VALUE`, rounded. Loops hold the table in a local. */
export const GREY_WORDS = wordsFor(greyOf)
/** The same sunk. */
export const SUNK_WORDS = wordsFor(sunkGrey)
