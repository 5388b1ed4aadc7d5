/**
 * From a file's bytes to the working raster: decoded by sharp, profile converted to sRGB, reduced
 * by our own averaging in linear light, turned upright. Orientation comes last: turning a million
 * pixels is cheaper than turning forty.
 */
import readExif from 'exif-reader'
import sharp, { type Metadata, type Sharp } from 'sharp'
import { orient, swapsAxes } from '../../core/picture/orient'
import { WORKING_EDGE, type Raster } from '../../core/picture/raster'
import { fitWithin, reduceTo, type SourcePixels } from '../../core/picture/resample'
import type { Source } from '../../core/measure/source'
import { MOST_SCANS, scansOf } from './scans'

export interface Decoded {
  readonly source: Source
  readonly raster: Raster
}
/** `invalid`: the file can be opened, what is asked to be done to it cannot be done. */
export type RefusalCode = 'not-a-picture' | 'too-large' | 'invalid'
export interface Refusal {
  readonly kind: 'refused'
  readonly code: RefusalCode
  readonly message: string
}
export type DecodeOutcome = ({ readonly kind: 'decoded' } & Decoded) | Refusal

export interface DecodeLimits {
  readonly formats: readonly string[]
  readonly pixels: number
  /** Pixels of the longer side. */
  readonly side: number
}

/** What the command line reads; a hand-in may be less. SVG is a drawing program, not a picture. */
export const READABLE: DecodeLimits = {
  formats: ['jpeg', 'png', 'webp', 'tiff', 'gif', 'heif'],
  pixels: 150_000_000,
  side: 1_000_000
}

/**
 * How every file of a person's is opened, when it is handed in as when its full size is made later: what is damaged
 * is refused at the door, and nothing is let in that could not be opened again.
 */
const OPENED = { failOn: 'warning', limitInputPixels: false, pages: 1 } as const
export const openPicture = (bytes: Uint8Array, sequentialRead = false): Sharp =>
  sharp(bytes, { ...OPENED, sequentialRead })

const LOADERS: Readonly<Record<string, string>> = {
  jpeg: 'VipsForeignLoadJpeg',
  png: 'VipsForeignLoadPng',
  webp: 'VipsForeignLoadWebp',
  tiff: 'VipsForeignLoadTiff'
}
/** From here on this process opens files of these formats alone: no other decoder ever sees a stranger's bytes. */
export function blockOtherLoaders(formats: readonly string[]): void {
  sharp.block({ operation: ['VipsForeignLoad'] })
  sharp.unblock({ operation: formats.map(format => LOADERS[format]!) })
}

/** Each working process is one pair of hands: threads of its own would only queue for the same cores. */
export function oneThread(): void {
  sharp.concurrency(1)
  sharp.cache(false)
}

const refuse = (code: RefusalCode, message: string): Refusal => ({ kind: 'refused', code, message })

function refuseSize({ width, height }: Metadata, limits: DecodeLimits): Refusal | null {
  if (width * height > limits.pixels) {
    const millions = (pixels: number): number => Math.round(pixels / 1e6)
    return refuse(
      'too-large',
      `The picture has ${millions(width * height)} megapixels; at most ${millions(limits.pixels)} can be taken.`
    )
  }
  if (Math.max(width, height) > limits.side) {
    return refuse(
      'too-large',
      `The picture is ${Math.max(width, height)} pixels long; at most ${limits.side} can be taken.`
    )
  }
  return null
}

/** Formats that leave out what is hardly seen. */
const LOSSY = ['jpeg', 'webp', 'heif']

/** Whether the file says how long it was exposed, or through which opening: scanners and programs do not. */
function takenByCamera(exif: Buffer | undefined): boolean {
  if (!exif) return false
  try {
    const { Photo } = readExif(exif)
    return Photo?.ExposureTime !== undefined || Photo?.FNumber !== undefined
  } catch {
    return false
  }
}

/** @param bytes a whole file. @returns the raster, or a refusal in plain words; never part of a picture. */
export async function decodePicture(bytes: Uint8Array, limits: DecodeLimits): Promise<DecodeOutcome> {
  if (scansOf(bytes) > MOST_SCANS) {
    return refuse(
      'not-a-picture',
      `This JPEG is written in more than ${MOST_SCANS} passes, which no camera or program does. Save it anew.`
    )
  }
  let meta: Metadata
  try {
    meta = await openPicture(bytes, true).metadata()
  } catch {
    return refuse('not-a-picture', 'This file is not a picture that can be read here.')
  }
  if (!limits.formats.includes(meta.format))
    return refuse('not-a-picture', `A ${meta.format.toUpperCase()} file cannot be measured here.`)
  const refused = refuseSize(meta, limits)
  if (refused) return refused
  let pixels: SourcePixels
  try {
    pixels = await rawPixels(openPicture(bytes, true))
  } catch {
    return refuse(
      'not-a-picture',
      'The picture is damaged or breaks off before its end. Was a copy or an upload cut short?'
    )
  }
  const size = fitWithin(pixels.width, pixels.height, WORKING_EDGE)
  const turned = meta.orientation ?? 1,
    { width, height, format } = meta
  const lossy = LOSSY.includes(format)
  return {
    kind: 'decoded',
    source: {
      format,
      ...(swapsAxes(turned) ? { width: height, height: width } : { width, height }),
      ...(lossy ? { bitsPerPixel: (8 * bytes.length) / (width * height) } : {}),
      ...(takenByCamera(meta.exif) ? { photograph: true } : {})
    },
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
