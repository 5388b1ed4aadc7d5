/** The least EXIF there is: which way up. Everything else that a camera writes says where, when, or by whom. */

/** @param orientation 1–8 (Exif 2.32, tag 274). @returns a TIFF header with one entry. */
export const orientationExif = (orientation: number): Uint8Array =>
  Uint8Array.from([
    ...[0x49, 0x49, 0x2a, 0, 8, 0, 0, 0],
    ...[1, 0],
    ...[0x12, 0x01, 3, 0, 1, 0, 0, 0, orientation, 0, 0, 0],
    ...[0, 0, 0, 0]
  ])
