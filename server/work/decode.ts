/**
 * From a file's bytes to the working raster: decoded by sharp, profile converted to sRGB, reduced
 * by our own averaging in linear light, turned upright. Orientation comes last: turning a million
 * pixels is cheaper than turning forty.
 */
import sharp, { type Sharp } from 'sharp'
import { orient, swapsAxes } from '../../core/picture/orient'
import { WORKING_EDGE, type Raster } from '../../core/picture/raster'
import { fitWithin, reduceTo, type SourcePixels } from '../../core/picture/resample'
import type { Source } from '../../core/measure/picture'

export interface Decoded { readonly source: Source, readonly raster: Raster }
export type RefusalCode = 'not-a-picture' | 'too-large'
export interface Refusal { readonly kind: 'refused', readonly code: RefusalCode, readonly message: string }
export type DecodeOutcome = ({ readonly kind: 'decoded' } & Decoded) | Refusal

export interface DecodeLimits { readonly formats: readonly string[], readonly pixels: number }

/** What the command line reads; a hand-in may be less. SVG is a drawing program, not a picture. */
export const READABLE: DecodeLimits = { formats: ['jpeg', 'png', 'webp', 'tiff', 'gif', 'heif'], pixels: 150_000_000 }

const refuse = (code: RefusalCode, message: string): Refusal => ({ kind: 'refused', code, message })

/** @param bytes a whole file. @returns the raster, or a refusal in plain words; never part of a picture. */
export async function decodePicture(bytes: Uint8Array, limits: DecodeLimits): Promise<DecodeOutcome> {
  const options = { failOn: 'error', limitInputPixels: false, sequentialRead: true, pages: 1 } as const
  let meta
  try {
    meta = await sharp(bytes, options).metadata()
  } catch {
    return refuse('not-a-picture', 'This file is not a picture that can be read here.')
  }
  if (!limits.formats.includes(meta.format)) return refuse('not-a-picture', `A ${meta.format.toUpperCase()} file cannot be measured here.`)
  const { width, height } = meta
  if (width * height > limits.pixels) {
    return refuse('too-large', `The picture has ${Math.round(width * height / 1e6)} megapixels; at most ${Math.round(limits.pixels / 1e6)} can be taken.`)
  }
  let pixels: SourcePixels
  try {
    pixels = await rawPixels(sharp(bytes, options))
  } catch {
    return refuse('not-a-picture', 'The picture is damaged or breaks off before its end. Was a copy or an upload cut short?')
  }
  const size = fitWithin(pixels.width, pixels.height, WORKING_EDGE)
  const turned = meta.orientation ?? 1
  return {
    kind: 'decoded',
    source: swapsAxes(turned) ? { format: meta.format, width: height, height: width } : { format: meta.format, width, height },
    raster: orient(reduceTo(pixels, size.width, size.height), turned)
  }
}

/** 8-bit sRGB, RGB or RGBA; greys are spread to three channels. */
async function rawPixels(image: Sharp): Promise<SourcePixels> {
  const { data, info } = await image.toColourspace('srgb').raw({ depth: 'uchar' }).toBuffer({ resolveWithObject: true })
  const { width, height } = info
  const channels = info.channels as number
  if (channels === 3 || channels === 4) return { width, height, channels, data }
  const spread = new Uint8Array(width * height * 4)
  for (let i = 0, s = 0, t = 0; i < width * height; i++, s += channels, t += 4) {
    spread[t] = spread[t + 1] = spread[t + 2] = data[s]
    spread[t + 3] = channels === 2 ? data[s + 1] : 255
  }
  return { width, height, channels: 4, data: spread }
}
