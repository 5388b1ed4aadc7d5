/** The working raster: 8-bit sRGB RGBA, rows from the top. */
export interface Raster {
  readonly width: number
  readonly height: number
  /** width × height × 4 bytes: r, g, b, alpha. */
  readonly data: Uint8ClampedArray
}

/** Long edge of the working raster, in pixels. */
export const WORKING_EDGE = 1024

/** Alpha from which a pixel is measured. Under it the pixel belongs to nobody. */
export const MEASURED_ALPHA = 128

export function createRaster(width: number, height: number): Raster {
  if (!(width >= 1 && height >= 1)) throw new RangeError(`a raster of ${width} × ${height} pixels has no pixel`)
  return { width, height, data: new Uint8ClampedArray(width * height * 4) }
}

/** Diagonal in pixels: the length that blur, ring and rim widths are shares of. */
export const diagonalOf = ({ width, height }: { width: number; height: number }): number => Math.hypot(width, height)

/**
 * A byte buffer seen as whole pixels: signed, since unsigned words are carried as fractions as soon as they meet
 * others.
 */
export const wordsOf = ({ buffer, byteOffset, length }: Uint8ClampedArray): Int32Array =>
  new Int32Array(buffer, byteOffset, length >> 2)
