/**
 * Files as cameras and programs write them (by sharp, and put together by hand after the formats' specifications), read
 * back by exif-reader and sharp: nothing said beside the picture is left, and the picture is the same to the bit.
 */
import sharp, { type Sharp } from 'sharp'
import { describe, expect, it } from 'vitest'
import { bareOf } from './bare'

const SECRETS = ['Harbour Lane 7', 'Pocket camera', 'Ada Quill', 'dusk walk']
const noise = Buffer.from(Array.from({ length: 120 * 80 * 3 }, (_, i) => (i * 2654435761) >>> 24))
const XMP = `<x:xmpmeta xmlns:x="adobe:ns:meta/"><rdf:RDF xmlns:rdf="http://www.w3.org/1999/02/22-rdf-syntax-ns#"><rdf:Description rdf:about="" xmlns:dc="http://purl.org/dc/elements/1.1/" dc:creator="Ada Quill"/></rdf:RDF></x:xmpmeta>`
const shot = (orientation: number): Sharp =>
  sharp(noise, { raw: { width: 120, height: 80, channels: 3 } })
    .withMetadata({ orientation, icc: 'p3' })
    .withExifMerge({
      IFD0: { Model: 'Pocket camera', ImageDescription: 'Harbour Lane 7', Artist: 'Ada Quill' },
      IFD3: { GPSLatitude: '50/1 22/1 0/1', GPSLatitudeRef: 'N' }
    })
    .withXmp(XMP)

const segment = (marker: number, words: string): Buffer => {
  const data = Buffer.from(words, 'latin1'),
    head = Buffer.from([0xff, marker, 0, 0])
  head.writeUInt16BE(data.length + 2, 2)
  return Buffer.concat([head, data])
}
const afterStart = (jpeg: Buffer, ...parts: Buffer[]): Buffer =>
  Buffer.concat([jpeg.subarray(0, 2), ...parts, jpeg.subarray(2)])

const pixels = async (bytes: Buffer): Promise<Buffer> => sharp(bytes).raw().toBuffer()
const said = (bytes: Buffer): string[] => SECRETS.filter(words => bytes.includes(words, 0, 'latin1'))

const FILES: readonly (readonly [name: string, make: (orientation: number) => Promise<Buffer>])[] = [
  ['a JPEG', o => shot(o).jpeg({ quality: 90 }).toBuffer()],
  ['a progressive JPEG', o => shot(o).jpeg({ progressive: true }).toBuffer()],
  [
    'a JPEG with comments, captions and a film behind it',
    async o =>
      Buffer.concat([
        afterStart(
          await shot(o).jpeg().toBuffer(),
          segment(0xfe, 'dusk walk'),
          segment(0xed, 'Photoshop 3.0\0 Ada Quill'),
          segment(0xe2, 'MPF\0 Pocket camera')
        ),
        Buffer.from('ftypmp42 Harbour Lane 7')
      ])
  ],
  ['a PNG', o => shot(o).png().toBuffer()],
  ['a PNG of 16 bits', o => shot(o).toColourspace('rgb16').png().toBuffer()],
  ['a WebP', o => shot(o).webp({ quality: 80 }).toBuffer()],
  ['a lossless WebP', o => shot(o).webp({ lossless: true }).toBuffer()],
  ['a TIFF', o => shot(o).tiff({ compression: 'none' }).toBuffer()],
  [
    'a TIFF, compressed and predicted',
    o => shot(o).tiff({ compression: 'deflate', predictor: 'horizontal' }).toBuffer()
  ],
  ['a TIFF in tiles', o => shot(o).tiff({ compression: 'lzw', tile: true, tileWidth: 32, tileHeight: 32 }).toBuffer()],
  ['a TIFF of JPEG strips', o => shot(o).tiff({ compression: 'jpeg', quality: 90 }).toBuffer()],
  ['a big TIFF', o => shot(o).tiff({ compression: 'lzw', bigtiff: true }).toBuffer()]
]

describe.each(FILES)('%s', (_, make) => {
  it.each([1, 6])('says nothing beside the picture, which is the same to the bit (way up %d)', async orientation => {
    const file = await make(orientation)
    expect(said(file)).not.toEqual([])
    const bare = await bareOf(file),
      meta = await sharp(bare).metadata(),
      before = await sharp(file).metadata()
    expect(said(bare)).toEqual([])
    expect([meta.xmp, meta.iptc, meta.orientation ?? 1]).toEqual([undefined, undefined, orientation])
    expect(meta.exif ?? Buffer.alloc(0)).toSatisfy((exif: Buffer) => exif.length < 200)
    expect(meta.icc?.equals(before.icc!)).toBe(true)
    expect((await pixels(bare)).equals(await pixels(file))).toBe(true)
    // A second time there is nothing to take out.
    expect((await bareOf(bare)).equals(bare)).toBe(true)
  })
})

it('refuses to keep what is no picture from end to end', async () => {
  await expect(bareOf(Buffer.from([0xff, 0xd8, 0x12, 0x34]))).rejects.toThrow()
})
