/**
 * A JPEG's own segments and scans, without what programs and cameras say beside them (ITU-T T.81, annex B; JFIF 1.02;
 * ICC.1, annex B.4).
 */
import { orientationExif } from './exif'

const SOI = 0xd8,
  EOI = 0xd9,
  SOS = 0xda,
  COMMENT = 0xfe,
  JFIF = 0xe0

const startsWith = (bytes: Uint8Array, at: number, words: string): boolean =>
  [...words].every((letter, i) => bytes[at + i] === letter.charCodeAt(0))

/** How the samples are to be read: density, the colour profile, the colour transform. */
const KEPT: Readonly<Record<number, string>> = { [JFIF]: 'JFIF\0', 0xe2: 'ICC_PROFILE\0', 0xee: 'Adobe' }

/** JFIF's header, whose small picture is left out. */
function withoutThumbnail(segment: Uint8Array): Uint8Array {
  const header = segment.slice(0, 18)
  header[2] = 0
  header[3] = 16
  header[16] = header[17] = 0
  return header
}

/** Where the data of a scan ends: at the next marker that is neither a stuffed byte nor a restart. */
function endOfScan(bytes: Uint8Array, from: number): number {
  for (let i = bytes.indexOf(0xff, from); i !== -1; i = bytes.indexOf(0xff, i + 1)) {
    const next = bytes[i + 1]
    if (next !== undefined && next !== 0 && next !== 0xff && !(next >= 0xd0 && next <= 0xd7)) return i
  }
  return bytes.length
}

function orientationSegment(orientation: number): Uint8Array {
  const exif = orientationExif(orientation),
    words = new TextEncoder().encode('Exif\0\0')
  return Uint8Array.from([0xff, 0xe1, 0, 2 + words.length + exif.length, ...words, ...exif])
}

/**
 * @returns the same coded picture; what stands behind its end (a second picture, a film) is left out. @throws
 * RangeError.
 */
export function bareJpeg(bytes: Uint8Array, orientation: number): Uint8Array[] {
  const parts: Uint8Array[] = []
  for (let at = 2; at + 1 < bytes.length;) {
    const marker = bytes[at + 1]!
    if (bytes[at] !== 0xff || marker === SOI) throw new RangeError('not a JPEG from end to end')
    // A marker may be preceded by any number of bytes of ones.
    if (marker === 0xff) {
      at++
      continue
    }
    if (marker === EOI) {
      parts.push(bytes.subarray(at, at + 2))
      break
    }
    const end = at + 2 + ((bytes[at + 2]! << 8) | bytes[at + 3]!),
      segment = bytes.subarray(at, end),
      words = KEPT[marker]
    const beside = (marker >= 0xe0 && marker <= 0xef) || marker === COMMENT
    if (!beside || (words && startsWith(segment, 4, words)))
      parts.push(marker === JFIF ? withoutThumbnail(segment) : segment)
    at = end
    if (marker === SOS) {
      at = endOfScan(bytes, end)
      parts.push(bytes.subarray(end, at))
    }
  }
  // JFIF's header comes first of all where there is one.
  const first = parts[0]?.[1] === JFIF ? 1 : 0
  if (orientation !== 1) parts.splice(first, 0, orientationSegment(orientation))
  return [bytes.subarray(0, 2), ...parts]
}
