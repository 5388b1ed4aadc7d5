/** Work photographed with our printed strip beside it, as one board that the camera sees. */
import sharp from 'sharp'
import { linearOfHex } from '../../core/colour/srgb'
import { homographyOf, through, type Point } from '../../core/numeric/homography'
import { gaussian, type Random } from '../../core/numeric/random'
import { FRAME } from '../../core/photo/steps'
import { STRIP } from '../../core/photo/strip/strip'
import { stripSvg } from '../../core/photo/strip/svg'
import { createRaster, type Raster } from '../../core/picture/raster'
import { PRINTING } from '../../shared/printed-marks'
import { loaded } from '../register/pairs'
import { photographWork, type KitchenShot } from './kitchen'
import type { Work } from './work'

/** Pixels a millimetre of the board; millimetres of the work's long edge, between it and the strip, and around both. */
const FINE = 4,
  LONG = 400,
  GAP = 12,
  AROUND = 8
const BOARD = [150, 128, 104] as const
/** Of the light, what paper sends back, as a byte of sRGB says it: nine tenths. */
const PAPER = 0.9

/** The strip as it comes out of a printer. @param off standard deviation of a patch's light, of its own, by channel. */
async function printed(random: Random, off: number): Promise<Raster> {
  const svg = stripSvg(PRINTING).replaceAll(/fill="(#[0-9a-f]{6})"/g, (_, hex: string) => {
    const bytes = linearOfHex(hex).map(v => {
      const light = PAPER * Math.min(1, v * (hex === '#ffffff' ? 1 : Math.exp(off * gaussian(random)))) + 0.004
      return Math.round(255 * (light <= 0.0031308 ? 12.92 * light : 1.055 * light ** (1 / 2.4) - 0.055))
    })
    return `fill="rgb(${bytes.join(',')})"`
  })
  return loaded(
    await sharp(Buffer.from(svg), { density: 25.4 * FINE })
      .resize(STRIP.width * FINE, STRIP.height * FINE, { fit: 'fill' })
      .png()
      .toBuffer(),
    STRIP.width * FINE
  )
}

function laid(on: Raster, what: Raster, [left, top]: readonly [number, number]): void {
  for (let y = 0; y < what.height; y++)
    on.data.set(what.data.subarray(4 * y * what.width, 4 * (y + 1) * what.width), 4 * ((y + top) * on.width + left))
}

interface Shot {
  readonly light: KitchenShot
  readonly random: Random
  /** How far the printer is off. */
  readonly printer: number
}

/** @returns the work's corners in the photograph, clockwise from its top left: fractions. */
export async function photographBesideStrip(
  work: Work,
  { light, random, printer }: Shot
): Promise<{ photo: Raster; jpeg: Buffer; corners: Point[] }> {
  const { width: w, height: h, data } = work.raster,
    scale = (LONG * FINE) / Math.max(w, h),
    large = await loaded(
      await sharp(data, { raw: { width: w, height: h, channels: 4 } })
        .resize(Math.round(w * scale), Math.round(h * scale), { fit: 'fill' })
        .png()
        .toBuffer(),
      LONG * FINE
    ),
    strip = await printed(random, printer)
  const width = Math.max(large.width, strip.width) + 2 * AROUND * FINE,
    height = large.height + strip.height + (GAP + 2 * AROUND) * FINE,
    board = createRaster(width, height)
  for (let p = 0; p < width * height; p++) board.data.set([...BOARD, 255], 4 * p)
  const left = Math.round((width - large.width) / 2),
    top = AROUND * FINE
  laid(board, large, [left, top])
  laid(board, strip, [Math.round((width - strip.width) / 2), top + large.height + GAP * FINE])
  const { jpeg, corners: seen } = await photographWork({ raster: board, margin: 0, round: 0 }, light),
    map = homographyOf(FRAME, seen)!
  const corners = [
    [left, top],
    [left + large.width, top],
    [left + large.width, top + large.height],
    [left, top + large.height]
  ].map(([x, y]) => through(map, { x: x! / width, y: y! / height }))
  return { jpeg, photo: await loaded(jpeg, Math.max(light.width, light.height)), corners }
}
