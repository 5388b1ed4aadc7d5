/** Finding what we printed, worksheets and others, in a photograph by their corner markers. */
import { cropAt, type PixelBox } from '../../picture/crop'
import { reduceTo } from '../../picture/resample'
import type { Raster } from '../../picture/raster'
import { refineCorners } from './edges'
import type { Seeing } from './seeing'
import { homographyOf, through, type Homography, type Point } from '../../numeric/homography'
import { cornerMarkers } from '../worksheet/frame'
import { PAPERS, type Marker, type Paper } from '../worksheet/worksheet'

/**
 * @property edges long edges that are looked at in turn: markers are found best where a module is a few pixels wide.
 * @property bright share of the photograph that is darker than the paper. @property seldom most photographs have none:
 * where
 * the first edge shows no marker, no other is tried, and the others are tried about the markers that it shows alone.
 */
export interface Looking {
  readonly edges: readonly number[]
  readonly bright: number
  readonly seldom?: boolean
}
/** A worksheet is most of its photograph. */
const AT_SHEETS: Looking = { edges: [1200, 2000, 800, 560], bright: 0.97 }

/** A marker in the photograph. @property corners in its own order: top left first as it was printed, clockwise. */
interface Found {
  readonly id: number
  readonly corners: readonly Point[]
}

/** Something printed with a marker in each corner, clockwise from its top left, and what it is. */
export interface Printed<T> {
  readonly is: T
  readonly markers: readonly Marker[]
}

/**
 * @property map from millimetres of what was printed to pixels. @property blur width of the markers' edges, pixels.
 * @property off mean distance of the markers' corners from the map, pixels: curl.
 */
export interface FoundPrint<T> {
  readonly is: T
  readonly map: Homography
  readonly blur: number
  readonly off: number
}
export type FoundSheet = Omit<FoundPrint<Paper>, 'is'> & { readonly paper: Paper }

/** @property found by corner; null where one is not seen. */
interface Seen<T> {
  readonly print: Printed<T>
  readonly found: readonly (Found | null)[]
}

/** What becomes white at least: a marker in dim light has the contrast of one in good light. */
const FAINTEST = 60

/** Brightened until the paper is white. @param data RGBA, unchanged. */
function stretched(data: Uint8ClampedArray, bright: number): Uint8ClampedArray {
  const counts = new Uint32Array(256)
  for (let i = 1; i < data.length; i += 4) counts[data[i]]++
  let top = 255
  for (let left = (1 - bright) * (data.length / 4); top > FAINTEST && left >= counts[top]; top--) left -= counts[top]
  const brighter = Uint8ClampedArray.from({ length: 256 }, (_, v) => (255 * v) / top),
    out = new Uint8ClampedArray(data.length)
  for (let i = 0; i < data.length; i += 4) {
    out[i] = brighter[data[i]]
    out[i + 1] = brighter[data[i + 1]]
    out[i + 2] = brighter[data[i + 2]]
    out[i + 3] = 255
  }
  return out
}

/** @property edge that the whole photograph is looked at with. @property box the part of it that is looked at. */
interface Look {
  readonly edge: number
  readonly bright: number
  readonly box: PixelBox | null
}

function detect(photo: Raster, seeing: Seeing, { edge, bright, box }: Look): Found[] {
  const part = box ? cropAt(photo, box) : photo,
    share = Math.min(1, edge / Math.max(photo.width, photo.height)),
    [width, height] = [part.width, part.height].map(n => Math.max(1, Math.round(n * share))),
    small = share === 1 ? part : reduceTo({ ...part, channels: 4 }, width, height),
    at = ({ x, y }: Point): Point => ({
      x: (box?.x ?? 0) + ((x + 0.5) * part.width) / width,
      y: (box?.y ?? 0) + ((y + 0.5) * part.height) / height
    })
  return seeing
    .markers({ ...small, data: stretched(small.data, bright) })
    .map(m => ({ id: m.id, corners: m.corners.map(at) }))
}

const centreOf = (points: readonly Point[]): Point => ({
  x: points.reduce((sum, p) => sum + p.x, 0) / points.length,
  y: points.reduce((sum, p) => sum + p.y, 0) / points.length
})
const distance = (p: Point, q: Point): number => Math.hypot(p.x - q.x, p.y - q.y)
const cornersOf = ({ x, y, w, h }: { x: number; y: number; w: number; h: number }): Point[] => [
  { x, y },
  { x: x + w, y },
  { x: x + w, y: y + h },
  { x, y: y + h }
]

/** Adds what is new: a marker that was found at another size already is the same one. */
function joined(known: readonly Found[], more: readonly Found[]): Found[] {
  const out = [...known]
  for (const m of more) {
    const at = centreOf(m.corners),
      size = distance(m.corners[0], m.corners[2])
    if (!out.some(k => k.id === m.id && distance(centreOf(k.corners), at) < size / 2)) out.push(m)
  }
  return out
}

/** Three corners of a sheet decide it as well: a thumb may lie on the fourth. */
const ENOUGH = 3

/**
 * Markers of one sheet: each sheet's first marker says about where its others are, and the nearest of their kind are
 * taken.
 */
function group<T>(found: readonly Found[], prints: readonly Printed<T>[]): Seen<T>[] {
  const left = new Set(found),
    seen: Seen<T>[] = []
  const offers = prints.flatMap(print =>
    print.markers.flatMap(from =>
      found
        .filter(m => m.id === from.id)
        .flatMap(first => {
          const map = homographyOf(cornersOf(from), first.corners)
          if (!map) return []
          const size = distance(first.corners[0], first.corners[2])
          const near = print.markers.map(marker => {
            if (marker === from) return { m: first, away: 0 }
            const expected = through(map, centreOf(cornersOf(marker)))
            return found
              .filter(m => m.id === marker.id)
              .map(m => ({ m, away: distance(centreOf(m.corners), expected) / size }))
              .sort((p, q) => p.away - q.away)[0]
          })
          const own = near.filter(n => n !== undefined)
          return own.length < ENOUGH
            ? []
            : [
                {
                  print,
                  found: near.map(n => n?.m ?? null),
                  rank: 100 * (4 - own.length) + own.reduce((sum, n) => sum + n.away, 0)
                }
              ]
        })
    )
  )
  for (const { print, found: markers } of offers.sort((p, q) => p.rank - q.rank)) {
    const own = markers.filter(m => m !== null)
    if (!own.every(m => left.has(m))) continue
    own.forEach(m => left.delete(m))
    seen.push({ print, found: markers })
  }
  return seen
}

/**
 * Of a print's own size, that is looked at beyond where one marker says it ends: a marker alone says little of tilt.
 */
const BEYOND = 0.3

/** Where the prints of these markers should lie, with room about them. */
function boxAround(found: readonly Found[], prints: readonly Printed<unknown>[], photo: Raster): PixelBox | null {
  const corners = prints.flatMap(({ markers }) =>
    markers.flatMap(from =>
      found
        .filter(m => m.id === from.id)
        .flatMap(({ corners }) => {
          const map = homographyOf(cornersOf(from), corners)
          return map ? markers.flatMap(m => cornersOf(m).map(c => through(map, c))) : []
        })
    )
  )
  if (!corners.length) return null
  const span = (of: (p: Point) => number, whole: number): [number, number] => {
    const all = corners.map(of),
      [from, to] = [Math.min(...all), Math.max(...all)],
      room = BEYOND * (to - from)
    return [Math.max(0, Math.floor(from - room)), Math.min(whole, Math.ceil(to + room))]
  }
  const [left, right] = span(p => p.x, photo.width),
    [top, bottom] = span(p => p.y, photo.height)
  return { x: left, y: top, width: right - left, height: bottom - top }
}

function mapOf<T>(photo: Raster, { print, found }: Seen<T>): FoundPrint<T> | null {
  const pairs = print.markers.flatMap((printed, i) => {
    const marker = found[i]
    return marker ? [{ printed: cornersOf(printed), ...refineCorners(photo, marker.corners) }] : []
  })
  const printed = pairs.flatMap(p => p.printed),
    seen = pairs.flatMap(p => p.corners)
  const map = homographyOf(printed, seen)
  if (!map) return null
  const off = printed.reduce((sum, p, i) => sum + distance(through(map, p), seen[i]), 0) / printed.length
  return { is: print.is, map, off, blur: Math.max(...pairs.map(p => p.blur)) }
}

/** @returns what of `prints` lies in a photograph; nothing where fewer than three corners of one are seen. */
export function findPrints<T>(
  photo: Raster,
  seeing: Seeing,
  { prints, looking: { edges, bright, seldom } }: { readonly prints: readonly Printed<T>[]; readonly looking: Looking }
): FoundPrint<T>[] {
  const ids = new Set(prints.flatMap(({ markers }) => markers.map(m => m.id)))
  let found: Found[] = [],
    seen: Seen<T>[] = []
  for (const edge of edges) {
    const box = seldom && found.length ? boxAround(found, prints, photo) : null
    found = joined(
      found,
      detect(photo, seeing, { edge, bright, box }).filter(m => ids.has(m.id))
    )
    if (seldom && found.length === 0) break
    seen = group(found, prints)
    if (seen.length > 0 && seen.every(s => s.found.every(m => m !== null)) && 4 * seen.length === found.length) break
  }
  return seen.flatMap(one => mapOf(photo, one) ?? [])
}

const SHEETS: readonly Printed<Paper>[] = PAPERS.map(paper => ({ is: paper, markers: cornerMarkers(paper) }))

/** @returns the worksheets of a photograph. */
export const findSheets = (photo: Raster, seeing: Seeing): FoundSheet[] =>
  findPrints(photo, seeing, { prints: SHEETS, looking: AT_SHEETS }).map(({ is: paper, ...found }) => ({
    paper,
    ...found
  }))

/** The same by hand: the outer corners of the four markers, clockwise from the sheet's top left, pixels. */
export function sheetAt(paper: Paper, corners: readonly Point[]): FoundSheet | null {
  const outer = cornerMarkers(paper).map((m, i) => cornersOf(m)[i])
  const map = homographyOf(outer, corners)
  return map && { paper, map, off: 0, blur: 0 }
}
