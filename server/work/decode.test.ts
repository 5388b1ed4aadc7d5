/** Every way a picture can come in: right, or refused in words; never part of it. */
import sharp, { type Sharp } from 'sharp'
import { describe, expect, it } from 'vitest'
import type { Source } from '../../core/measure/source'
import { decodePicture, READABLE, type Decoded } from './decode'

/** Hard-to-compress pixels, so that a cut falls inside the picture's data. */
const pixels = Buffer.from(Array.from({ length: 300 * 200 * 3 }, (_, i) => (i * i * 31 + i * 17) % 256))
const noise = (): Sharp => sharp(pixels, { raw: { width: 300, height: 200, channels: 3 } })
const flat = (r: number, g: number, b: number): Sharp =>
  sharp({ create: { width: 40, height: 30, channels: 3, background: { r, g, b } } })
const pixelOf = async (file: Sharp): Promise<number[]> => [
  ...((await decodePicture(await file.toBuffer(), READABLE)) as Decoded).raster.data.subarray(0, 4)
]

describe('a file cut short is refused', () => {
  it.each([
    ['PNG', () => noise().png()],
    ['JPEG', () => noise().jpeg()],
    ['progressive JPEG', () => noise().jpeg({ progressive: true })],
    ['WebP', () => noise().webp()],
    ['lossless WebP', () => noise().webp({ lossless: true })],
    ['TIFF', () => noise().tiff()],
    ['LZW TIFF', () => noise().tiff({ compression: 'lzw' })],
    ['GIF', () => noise().gif()]
  ] as const)('%s, at a half, nine tenths and 99 hundredths', async (_name, make) => {
    const whole = await make().toBuffer()
    expect((await decodePicture(whole, READABLE)).kind).toBe('decoded')
    for (const share of [0.5, 0.9, 0.99]) {
      expect(await decodePicture(whole.subarray(0, Math.floor(share * whole.length)), READABLE)).toMatchObject({
        kind: 'refused',
        code: 'not-a-picture'
      })
    }
  })
})

describe('colour comes in as sRGB', () => {
  it('from a wide-gamut profile, CMYK, 16 bits, grey and a palette', async () => {
    const near = (found: number[], wanted: number[], by: number): void =>
      wanted.forEach((w, i) => expect(Math.abs(found[i] - w)).toBeLessThanOrEqual(by))
    near(await pixelOf(flat(200, 100, 40).withIccProfile('p3').png()), [200, 100, 40, 255], 2)
    // CMYK has no room for this orange's blue; what matters is that it is neither inverted nor grey.
    near(await pixelOf(flat(200, 100, 40).toColourspace('cmyk').jpeg()), [200, 100, 20, 255], 25)
    near(await pixelOf(flat(200, 100, 40).toColourspace('rgb16').png()), [200, 100, 40, 255], 1)
    near(await pixelOf(flat(119, 119, 119).toColourspace('grey16').png()), [119, 119, 119, 255], 1)
    near(await pixelOf(flat(200, 100, 40).png({ palette: true })), [200, 100, 40, 255], 1)
  })

  it('from an animation by its first frame', async () => {
    const frames = await sharp([await flat(200, 100, 40).png().toBuffer(), await flat(10, 20, 200).png().toBuffer()], {
      join: { animated: true }
    })
      .gif()
      .toBuffer()
    expect((await sharp(frames).metadata()).pages).toBe(2)
    const { source, raster } = (await decodePicture(frames, READABLE)) as Decoded
    expect([source.width, source.height, [...raster.data.subarray(0, 3)]]).toEqual([40, 30, [200, 100, 40]])
  })
})

it('says what a file has left out, and whether a camera took it', async () => {
  const sourceIn = async (file: Sharp): Promise<Source> =>
    ((await decodePicture(await file.toBuffer(), READABLE)) as Decoded).source
  const jpeg = await sourceIn(flat(200, 100, 40).jpeg({ quality: 40 }))
  expect(jpeg.bitsPerPixel).toBeGreaterThan(0)
  expect(jpeg.photograph).toBeUndefined()
  const shot = flat(200, 100, 40).withExif({ IFD2: { ExposureTime: '1/60' } })
  expect(await sourceIn(shot.clone().jpeg())).toMatchObject({ photograph: true })
  const scanned = flat(200, 100, 40).withExif({ IFD0: { Make: 'a scanner' } })
  expect((await sourceIn(scanned.jpeg())).photograph).toBeUndefined()
  expect((await sourceIn(flat(200, 100, 40).png())).bitsPerPixel).toBeUndefined()
})

it('reduces to 1024 on the long edge and leaves smaller pictures alone', async () => {
  const size = async (width: number, height: number): Promise<number[]> => {
    const { raster } = (await decodePicture(
      await sharp({ create: { width, height, channels: 3, background: '#777' } })
        .png()
        .toBuffer(),
      READABLE
    )) as Decoded
    return [raster.width, raster.height]
  }
  expect([await size(2048, 1000), await size(700, 1400), await size(300, 200), await size(4000, 1)]).toEqual([
    [1024, 500],
    [512, 1024],
    [300, 200],
    [1024, 1]
  ])
})

it('refuses what is over the limit before decoding it', async () => {
  expect(await decodePicture(await flat(1, 2, 3).png().toBuffer(), { ...READABLE, pixels: 1000 })).toMatchObject({
    kind: 'refused',
    code: 'too-large'
  })
})
