/** The file that was measured, as far as it matters for what is said of the picture. */
import type { PhotoDoubtKind } from '../photo/steps'
import type { Report } from './report'

export interface Source {
  /** File format: png, jpeg, webp, tiff. */
  readonly format: string
  /** Size in pixels before reduction, after EXIF orientation. */
  readonly width: number
  readonly height: number
  /** Bits of the file for each of its pixels, of a format that leaves things out. */
  readonly bitsPerPixel?: number
  /** The file says that a camera took it. */
  readonly photograph?: true
  /** What a photograph of the work cannot be trusted in. */
  readonly shaken?: readonly PhotoDoubtKind[]
}

/** The file that a report is of. */
export function sourceOf({ picture }: Report): Source {
  const { format, sourceWidth: width, sourceHeight: height, bitsPerPixel, photograph, shaken } = picture
  return {
    format,
    width,
    height,
    ...(bitsPerPixel === undefined ? {} : { bitsPerPixel }),
    ...(photograph ? { photograph } : {}),
    ...(shaken ? { shaken } : {})
  }
}
