/**
 * How many passes a progressive JPEG is written in, without decoding it: each is walked over block by block, so a file
 * of a few hundred kilobytes can keep a decoder busy for a minute (markers: ITU-T T.81, annex B).
 */

/** Programs write ten or so. */
export const MOST_SCANS = 100

const START_OF_SCAN = 0xda

/** @returns start-of-scan markers of a JPEG; 0 for any other file. */
export function scansOf(bytes: Uint8Array): number {
  if (bytes[0] !== 0xff || bytes[1] !== 0xd8) return 0
  let scans = 0
  // In a scan's data a byte of ones is followed by a zero or a restart marker; any other marker is one.
  for (let i = bytes.indexOf(0xff, 2); i !== -1 && i + 1 < bytes.length; i = bytes.indexOf(0xff, i + 1)) {
    const marker = bytes[i + 1]!
    if (marker === START_OF_SCAN) scans++
    // Segments outside of scans may hold any bytes, a small picture of another JPEG too: they are passed over by their
    // length.
    if ((marker >= 0xc0 && marker < 0xd0) || (marker >= 0xda && marker <= 0xfe))
      i += 1 + ((bytes[i + 2]! << 8) | bytes[i + 3]!)
  }
  return scans
}
