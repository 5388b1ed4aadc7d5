/**
 * A picture's file without what it says beside the picture: place, time, camera, program, names, comments, small
 * pictures and whatever hangs behind its end. The coded picture and its colour profile stay bit for bit; of EXIF the
 * way up stays.
 */
import type { Metadata } from 'sharp'
import { openPicture } from '../decode'
import { bareJpeg } from './jpeg'
import { barePng } from './png'
import { bareTiff } from './tiff'
import { bareWebp } from './webp'

/** A TIFF of a kind that is not rewritten as it stands: its pixels in one that is, with its profile and its way up. */
async function plainTiff(bytes: Uint8Array): Promise<Uint8Array[]> {
  const anew = await openPicture(bytes).keepMetadata().tiff({ compression: 'lzw' }).toBuffer(),
    parts = bareTiff(anew)
  if (!parts) throw new Error('a TIFF could not be written anew')
  return parts
}

async function rewritten(bytes: Uint8Array, { format, orientation = 1 }: Metadata): Promise<Buffer> {
  switch (format) {
    case 'jpeg':
      return Buffer.concat(bareJpeg(bytes, orientation))
    case 'png':
      return Buffer.concat(barePng(bytes, orientation))
    case 'webp':
      return Buffer.concat(bareWebp(bytes, orientation))
    default:
      return Buffer.concat(bareTiff(bytes) ?? (await plainTiff(bytes)))
  }
}

/** @throws Error when what was made is not the same picture any more, or still says something. */
export async function bareOf(bytes: Uint8Array): Promise<Buffer> {
  const before = await openPicture(bytes).metadata(),
    bare = await rewritten(bytes, before),
    after = await openPicture(bare).metadata()
  const same = (['format', 'width', 'height', 'channels', 'depth'] as const).every(key => after[key] === before[key])
  const turned = (after.orientation ?? 1) === (before.orientation ?? 1)
  if (!same || !turned || after.xmp || after.iptc || (before.icc && !after.icc?.equals(before.icc)))
    throw new Error(`a ${before.format} could not be kept without its metadata`)
  return bare
}
