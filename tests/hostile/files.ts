/**
 * Files that somebody might hand in by mistake or on purpose: damaged, lying, endless, and no pictures at all. The same
 * for the same seed.
 */
import { deflateSync } from 'node:zlib'
import sharp, { type Sharp } from 'sharp'
import { seededRandom, type Random } from '../../core/numeric/random'
import { pngOf, type PngHead } from './png'
import { manyScans, MOST_SCANS } from './scans'

export interface HostileFile {
  readonly kind: string
  readonly bytes: Buffer
}
type Make = (given: { readonly random: Random; readonly bases: readonly Buffer[] }) => Promise<Buffer> | Buffer

const whole = (random: Random, most: number): number => Math.floor(random() * most)
const pick = <T>(random: Random, from: readonly T[]): T => from[whole(random, from.length)]!
const noise = (random: Random, length: number): Buffer => Buffer.from(Array.from({ length }, () => whole(random, 256)))
const flat = (width: number, height: number): Sharp =>
  sharp({ create: { width, height, channels: 3, background: '#7a5' } })

/** Whole pictures of every way of writing, to be damaged. */
async function basesOf(random: Random): Promise<Buffer[]> {
  const raw = noise(random, 240 * 160 * 4),
    image = (): Sharp => sharp(raw, { raw: { width: 240, height: 160, channels: 4 } })
  const opaque = (): Sharp => image().removeAlpha()
  return Promise.all(
    [
      image().png(),
      opaque().png({ palette: true }),
      opaque().png({ progressive: true }),
      opaque().toColourspace('rgb16').png(),
      opaque().jpeg(),
      opaque().jpeg({ progressive: true }),
      opaque().toColourspace('cmyk').jpeg(),
      opaque().withMetadata({ orientation: 6 }).jpeg(),
      image().webp(),
      image().webp({ lossless: true }),
      opaque().tiff({ compression: 'none' }),
      opaque().tiff({ compression: 'lzw' }),
      opaque().tiff({ compression: 'jpeg' }),
      opaque().tiff({ tile: true, tileWidth: 64, tileHeight: 64 }),
      opaque().greyscale().tiff({ bitdepth: 1 }),
      opaque().withIccProfile('p3').png()
    ].map(file => file.toBuffer())
  )
}

const changed = (bytes: Buffer, change: (copy: Buffer) => void): Buffer => {
  const copy = Buffer.from(bytes)
  change(copy)
  return copy
}

/** A TIFF of one pixel whose directories follow each other in a ring, or for ever. */
function tiffRing(pages: number): Buffer {
  const entries = [
    [256, 3, 1, 1],
    [257, 3, 1, 1],
    [258, 3, 1, 8],
    [259, 3, 1, 1],
    [262, 3, 1, 1],
    [273, 4, 1, 8],
    [278, 3, 1, 1],
    [279, 4, 1, 1]
  ] as const
  const size = 2 + 12 * entries.length + 4,
    out = Buffer.alloc(12 + pages * size)
  out.write('II*\0', 'latin1')
  out.writeUInt32LE(12, 4)
  for (let page = 0; page < pages; page++) {
    const at = 12 + page * size
    out.writeUInt16LE(entries.length, at)
    entries.forEach(([tag, type, count, value], i) => {
      out.writeUInt16LE(tag, at + 2 + 12 * i)
      out.writeUInt16LE(type, at + 4 + 12 * i)
      out.writeUInt32LE(count, at + 6 + 12 * i)
      out.writeUInt32LE(value, at + 10 + 12 * i)
    })
    out.writeUInt32LE(12 + ((page + 1) % pages) * size, at + size - 4)
  }
  return out
}

const NO_PICTURES = [
  '<svg xmlns="http://www.w3.org/2000/svg" width="99999" height="99999"><rect width="9" height="9"/></svg>',
  '<?xml version="1.0"?><!DOCTYPE s [<!ENTITY a "aaaaaaaaaa"><!ENTITY b "&a;&a;&a;&a;&a;&a;&a;&a;&a;&a;">'
    + '<!ENTITY c "&b;&b;&b;&b;&b;&b;&b;&b;">]><svg>&c;</svg>',
  '%PDF-1.7\n1 0 obj',
  '%!PS-Adobe-3.0',
  'GIF89a\x01\x00\x01\x00',
  'BM6\x00\x00\x00',
  'P6 9000 9000 255\n',
  '#?RADIANCE\n',
  'v/1\x01',
  'SIMPLE  =',
  '1,2,3\n4,5,6\n',
  '9000 9000\n1 2',
  '\x00\x00\x00\x20ftypheic',
  '\x00\x00\x00\x20ftypavif',
  '\xff\x0a',
  '\x00\x00\x00\x0cJXL ',
  '\x00\x00\x00\x0cjP  ',
  '<html><body>no',
  'PK\x03\x04',
  '\x7fELF',
  'RIFF\xff\xff\xff\xffWEBPVP8X',
  'II*\x00\xff\xff\xff\xff',
  '\xff\xd8\xff',
  '\x89PNG\r\n\x1a\n',
  ''
] as const

const lying = (random: Random): PngHead => ({
  width: 1 + whole(random, 40_000),
  height: 1 + whole(random, 40_000),
  depth: pick(random, [1, 2, 4, 8, 16, 7]),
  colour: pick(random, [0, 2, 3, 4, 6, 5])
})

const KINDS: Readonly<Record<string, Make>> = {
  'cut short': ({ random, bases }) => {
    const b = pick(random, bases)
    return b.subarray(0, whole(random, b.length))
  },
  'bits turned': ({ random, bases }) =>
    changed(pick(random, bases), b => {
      for (let i = 0; i < 1 + whole(random, 20); i++) b[whole(random, b.length)]! ^= 1 << whole(random, 8)
    }),
  'one bit turned': ({ random, bases }) =>
    changed(pick(random, bases), b => {
      b[whole(random, b.length)]! ^= 1 << whole(random, 8)
    }),
  'a stretch of zeros': ({ random, bases }) =>
    changed(pick(random, bases), b => {
      const at = whole(random, b.length)
      b.fill(0, at, Math.min(b.length, at + whole(random, 400)))
    }),
  'a stretch of noise': ({ random, bases }) =>
    changed(pick(random, bases), b => {
      const at = whole(random, b.length - 1)
      noise(random, Math.min(200, b.length - at)).copy(b, at)
    }),
  'a stretch twice': ({ random, bases }) => {
    const b = pick(random, bases),
      at = whole(random, b.length)
    return Buffer.concat([b.subarray(0, at), b.subarray(Math.max(0, at - 300))])
  },
  'two files in one': ({ random, bases }) => {
    const a = pick(random, bases),
      b = pick(random, bases)
    return Buffer.concat([a.subarray(0, whole(random, a.length)), b.subarray(whole(random, b.length))])
  },
  'more behind its end': ({ random, bases }) =>
    Buffer.concat([pick(random, bases), noise(random, whole(random, 3000))]),
  'many passes': ({ random }) =>
    manyScans(8 + whole(random, 5000), 8 + whole(random, 5000), 1 + whole(random, MOST_SCANS)),
  'passes within the limit': ({ random }) =>
    manyScans(8 + whole(random, 6000), 8 + whole(random, 5000), 1 + whole(random, 100)),
  'a PNG that lies': ({ random }) => pngOf(lying(random), deflateSync(Buffer.alloc(whole(random, 200_000)))),
  'a bomb': ({ random }) =>
    pngOf(
      { width: 1000 + whole(random, 30_000), height: 1000 + whole(random, 30_000), depth: 8, colour: 2 },
      deflateSync(Buffer.alloc(20_000_000))
    ),
  'a ring of pages': ({ random }) => tiffRing(1 + whole(random, 30_000)),
  'long and thin': ({ random }) => {
    const long = pick(random, [65_500, 65_501, 16_384, 30_000])
    return (random() < 0.5 ? flat(long, 1 + whole(random, 3)) : flat(1 + whole(random, 3), long)).png().toBuffer()
  },
  'large and flat': ({ random }) =>
    flat(4000 + whole(random, 4000), 4000 + whole(random, 1000))
      .png()
      .toBuffer(),
  'no picture': ({ random }) =>
    Buffer.concat([Buffer.from(pick(random, NO_PICTURES), 'latin1'), noise(random, whole(random, 2000))]),
  'a long drawing': ({ random }) =>
    Buffer.from(
      '<svg xmlns="http://www.w3.org/2000/svg" width="900" height="900">'
        + `${'<path d="M0 0L9 9"/>'.repeat(whole(random, 120_000))}</svg>`
    ),
  'nothing but noise': ({ random }) => noise(random, whole(random, 5000)),
  whole: ({ random, bases }) => pick(random, bases)
}

/** One after the other, every kind in turn. */
export async function* hostileFiles(count: number, seed: number): AsyncGenerator<HostileFile> {
  const random = seededRandom(seed),
    bases = await basesOf(random),
    kinds = Object.entries(KINDS)
  for (let i = 0; i < count; i++) {
    const [kind, make] = kinds[i % kinds.length]!
    yield { kind, bytes: await make({ random, bases }) }
  }
}
