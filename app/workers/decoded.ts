/** A file's pixels, in a worker. */
import type { Raster } from '~~/core/picture/raster'

/** @throws when the browser cannot open it. */
export async function decoded(file: Blob, mostEdge = Infinity): Promise<Raster> {
  const bitmap = await createImageBitmap(file, { premultiplyAlpha: 'none', colorSpaceConversion: 'none' })
  const by = Math.min(1, mostEdge / Math.max(bitmap.width, bitmap.height)),
    width = Math.round(bitmap.width * by),
    height = Math.round(bitmap.height * by)
  const context = new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true })!
  context.imageSmoothingQuality = 'high'
  context.drawImage(bitmap, 0, 0, width, height)
  bitmap.close()
  return { width, height, data: context.getImageData(0, 0, width, height).data }
}
