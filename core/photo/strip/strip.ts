/**
 * The printed strip of greys and colours that lies beside work when it is photographed: as it is printed and as it is
 * read. Millimetres from its top left corner.
 */
import { greyOf } from '../../exercise/worksheet/mixtures'
import type { Marker, Place } from '../../exercise/worksheet/worksheet'
import { linearOfHex, type Rgb } from '../../colour/srgb'

export const STRIP = { width: 190, height: 48 } as const

const BORDER = 2,
  MARK = 20,
  /** From the border to the first patch, and how wide one is. */
  FIRST = BORDER + MARK + 4,
  PATCH = 14,
  /** Of the dictionary: the eight before are the worksheets'. */
  FIRST_MARK = 8
const ROWS = [BORDER, STRIP.height - BORDER - MARK] as const

/** L* of the greys, not in order: what light does along the strip is not what the greys do. */
const GREYS = [48, 92, 12, 72, 36, 84, 24, 60] as const
/** Middling strong, so that any printer prints them. */
const COLOURS = ['#b5443c', '#3f62a8', '#e2c84b', '#5f9a52', '#7c5aa0', '#d98a3d', '#3d8f96', '#8a5f45'] as const
const PITCH = (STRIP.width - 2 * FIRST - PATCH) / (GREYS.length - 1)

/** Light that plain paper sends back: what counts as white of paper everywhere here. */
export const PAPER_LIGHT = 0.9

/** @property hex as it is printed. @property light that it sends back, linear: ink on paper. */
export interface Patch extends Place {
  readonly hex: string
  readonly light: Rgb
}

const rowOf = (hexes: readonly string[], y: number): Patch[] =>
  hexes.map((hex, i) => ({
    x: FIRST + i * PITCH,
    y,
    w: PATCH,
    h: MARK,
    hex,
    light: linearOfHex(hex).map(v => PAPER_LIGHT * v) as unknown as Rgb
  }))

export const GREY_PATCHES: readonly Patch[] = rowOf(GREYS.map(greyOf), ROWS[0])
export const COLOUR_PATCHES: readonly Patch[] = rowOf(COLOURS, ROWS[1])

/** Bare paper between the patches, and before the first and after the last of them. */
export const WHITES: readonly Place[] = ROWS.flatMap(y =>
  Array.from({ length: GREYS.length + 1 }, (_, i) => ({
    x: i === 0 ? BORDER + MARK : FIRST + (i - 1) * PITCH + PATCH,
    y,
    w: i === 0 || i === GREYS.length ? FIRST - BORDER - MARK : PITCH - PATCH,
    h: MARK
  }))
)

/** Clockwise from the top left. */
export const STRIP_MARKERS: readonly Marker[] = [
  [BORDER, ROWS[0]],
  [STRIP.width - BORDER - MARK, ROWS[0]],
  [STRIP.width - BORDER - MARK, ROWS[1]],
  [BORDER, ROWS[1]]
].map(([x, y], i) => ({ x, y, w: MARK, h: MARK, corner: i as Marker['corner'], id: FIRST_MARK + i }))

/** The outer corners of its marks: what says where a strip lies. */
export const STRIP_CORNERS = STRIP_MARKERS.map(({ x, y, w, h, corner }) => ({
  x: corner === 0 || corner === 3 ? x : x + w,
  y: corner < 2 ? y : y + h
}))
