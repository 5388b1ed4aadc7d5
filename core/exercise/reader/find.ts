/** Finding worksheets in a photograph by their corner markers. */
import { fitWithin, reduceTo } from '../../picture/resample'
import type { Raster } from '../../picture/raster'
import { refineCorners } from './edges'
import type { Seeing } from './seeing'
import { homographyOf, through, type Homography, type Point } from '../../numeric/homography'
import { cornerMarkers } from '../worksheet/frame'
import { PAPERS, type Paper } from '../worksheet/worksheet'

/** Long edges that are looked at in turn: markers are found best where a module is a few pixels wide. */
const EDGES = [1200, 2000, 800, 560] as const

/** A marker in the photograph. @property corners in its own order: top left first as it was printed, clockwise. */
interface Found {
  readonly id: number
  readonly corners: readonly Point[]
}

/**
 * @property map from millimetres of the sheet to pixels. @property blur width of the markers' edges, pixels. @property
 * off mean distance of the markers' corners from the map, pixels: curl.
 */
export interface FoundSheet {
  readonly paper: Paper
  readonly map: Homography
  readonly blur: number
  readonly off: number
}

/** @property markers by corner; null where one is not seen. */
interface SheetMarkers {
  readonly paper: Paper
  readonly markers: readonly (Found | null)[]
}

const LAST_ID = 4 * PAPERS.length - 1

/**
 * Light in the photograph that becomes white, and its least: a marker in dim light has the contrast of one in good
 * light.
 */
const BRIGHT = 0.97,
  FAINTEST = 60

/** Brightened until the paper is white. @param data RGBA, unchanged. */
function stretched(data: Uint8ClampedArray): Uint8ClampedArray {
  const counts = new Uint32Array(256)
  for (let i = 1; i < data.length; i += 4) counts[data[i]]++
  let top = 255
  for (let left = (1 - BRIGHT) * (data.length / 4); top > FAINTEST && left >= counts[top]; top--) left -= counts[top]
  const brighter = Uint8ClampedArray.from({ length: 256 }, (_, v) => (255 * v) / top)
  return data.map((v, i) => (i % 4 === 3 ? 255 : brighter[v]))
}

function detect(photo: Raster, edge: number, seeing: Seeing): Found[] {
  const size = fitWithin(photo.width, photo.height, edge),
    scale = photo.width / size.width
  const small = scale === 1 ? photo : reduceTo({ ...photo, channels: 4 }, size.width, size.height)
  return seeing
    .markers({ ...small, data: stretched(small.data) })
    .filter(m => m.id <= LAST_ID)
    .map(m => ({ id: m.id, corners: m.corners.map(c => ({ x: (c.x + 0.5) * scale, y: (c.y + 0.5) * scale })) }))
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
function group(found: readonly Found[]): SheetMarkers[] {
  const left = new Set(found),
    sheets: SheetMarkers[] = []
  const offers = PAPERS.flatMap(paper => {
    const printed = cornerMarkers(paper)
    return printed.flatMap(from =>
      found
        .filter(m => m.id === from.id)
        .flatMap(first => {
          const map = homographyOf(cornersOf(from), first.corners)
          if (!map) return []
          const size = distance(first.corners[0], first.corners[2])
          const near = printed.map(marker => {
            if (marker === from) return { m: first, away: 0 }
            const expected = through(map, centreOf(cornersOf(marker)))
            return found
              .filter(m => m.id === marker.id)
              .map(m => ({ m, away: distance(centreOf(m.corners), expected) / size }))
              .sort((p, q) => p.away - q.away)[0]
          })
          const markers = near.map(n => n?.m ?? null),
            seen = near.filter(n => n !== undefined)
          return seen.length < ENOUGH
            ? []
            : [{ paper, markers, rank: 100 * (4 - seen.length) + seen.reduce((sum, n) => sum + n.away, 0) }]
        })
    )
  })
  for (const { paper, markers } of offers.sort((p, q) => p.rank - q.rank)) {
    const own = markers.filter(m => m !== null)
    if (!own.every(m => left.has(m))) continue
    own.forEach(m => left.delete(m))
    sheets.push({ paper, markers })
  }
  return sheets
}

function mapOf(photo: Raster, { paper, markers }: SheetMarkers): FoundSheet | null {
  const pairs = cornerMarkers(paper).flatMap((printed, i) => {
    const found = markers[i]
    return found ? [{ printed: cornersOf(printed), ...refineCorners(photo, found.corners) }] : []
  })
  const printed = pairs.flatMap(p => p.printed),
    seen = pairs.flatMap(p => p.corners)
  const map = homographyOf(printed, seen)
  if (!map) return null
  const off = printed.reduce((sum, p, i) => sum + distance(through(map, p), seen[i]), 0) / printed.length
  return { paper, map, off, blur: Math.max(...pairs.map(p => p.blur)) }
}

/** @returns the sheets of a photograph, none where fewer than three corners of one are seen. */
export function findSheets(photo: Raster, seeing: Seeing): FoundSheet[] {
  let found: Found[] = [],
    sheets: SheetMarkers[] = []
  for (const edge of EDGES) {
    found = joined(found, detect(photo, edge, seeing))
    sheets = group(found)
    if (sheets.length > 0 && sheets.every(s => s.markers.every(m => m !== null)) && 4 * sheets.length === found.length)
      break
  }
  return sheets.flatMap(sheet => mapOf(photo, sheet) ?? [])
}

/** The same by hand: the outer corners of the four markers, clockwise from the sheet's top left, pixels. */
export function sheetAt(paper: Paper, corners: readonly Point[]): FoundSheet | null {
  const outer = cornerMarkers(paper).map((m, i) => cornersOf(m)[i])
  const map = homographyOf(outer, corners)
  return map && { paper, map, off: 0, blur: 0 }
}
