/// <reference path="../worksheet/js-aruco2.d.ts" />
/** Finding worksheets in a photograph by their corner markers. */
import aruco from 'js-aruco2/src/aruco.js'
import { fitWithin, reduceTo } from '../../picture/resample'
import type { Raster } from '../../picture/raster'
import { MARKER_DICTIONARY } from '../worksheet/markers'
import { refineCorners } from './edges'
import { homographyOf, through, type Homography, type Point } from './homography'
import { cornerMarkers } from '../worksheet/layout'
import { PAPERS, type Paper } from '../worksheet/worksheet'

/** Long edges that are looked at in turn: markers are found best where a module is a few pixels wide. */
const EDGES = [1200, 2000, 800] as const
/** Of 36 bits. Markers of the dictionary differ in 12 and more, so that five wrong ones are still told apart. */
const WRONG_BITS = 5

/** A marker in the photograph. @property corners in its own order: top left first as it was printed, clockwise. */
interface Found {
  readonly id: number
  readonly corners: readonly Point[]
}

/** @property map from millimetres of the sheet to pixels. @property blur width of the markers' edges, pixels. @property off mean distance of the markers' corners from the map, pixels: curl. */
export interface FoundSheet {
  readonly paper: Paper
  readonly map: Homography
  readonly blur: number
  readonly off: number
}

const LAST_ID = 4 * PAPERS.length - 1

function detect(photo: Raster, edge: number): Found[] {
  const size = fitWithin(photo.width, photo.height, edge),
    scale = photo.width / size.width
  const small = scale === 1 ? photo : reduceTo({ ...photo, channels: 4 }, size.width, size.height)
  const detector = new aruco.AR.Detector({ dictionaryName: MARKER_DICTIONARY, maxHammingDistance: WRONG_BITS })
  return detector
    .detect({ width: small.width, height: small.height, data: small.data })
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

/** Markers of one sheet: each sheet's first marker says about where its others are, and the nearest of their kind are taken. */
function group(found: readonly Found[]): { paper: Paper; four: Found[] }[] {
  const left = new Set(found),
    sheets: { paper: Paper; four: Found[] }[] = []
  const offers = PAPERS.flatMap(paper => {
    const printed = cornerMarkers(paper)
    return found
      .filter(m => m.id === printed[0].id)
      .flatMap(first => {
        const map = homographyOf(cornersOf(printed[0]), first.corners)
        if (!map) return []
        const others = printed.slice(1).map(marker => {
          const expected = through(map, centreOf(cornersOf(marker)))
          const near = found
            .filter(m => m.id === marker.id)
            .map(m => ({ m, away: distance(centreOf(m.corners), expected) }))
          return near.sort((p, q) => p.away - q.away)
        })
        if (others.some(o => o.length === 0)) return []
        return [
          { paper, four: [first, ...others.map(o => o[0].m)], away: others.reduce((sum, o) => sum + o[0].away, 0) }
        ]
      })
  })
  for (const { paper, four } of offers.sort((p, q) => p.away - q.away)) {
    if (!four.every(m => left.has(m))) continue
    four.forEach(m => left.delete(m))
    sheets.push({ paper, four })
  }
  return sheets
}

function mapOf(photo: Raster, paper: Paper, four: readonly Found[]): FoundSheet | null {
  const finer = four.map(m => refineCorners(photo, m.corners))
  const printed = cornerMarkers(paper).flatMap(cornersOf),
    seen = finer.flatMap(f => f.corners)
  const map = homographyOf(printed, seen)
  if (!map) return null
  const off = printed.reduce((sum, p, i) => sum + distance(through(map, p), seen[i]), 0) / printed.length
  return { paper, map, off, blur: Math.max(...finer.map(f => f.blur)) }
}

/** @returns the sheets of a photograph, none where not all four corners of one are seen. */
export function findSheets(photo: Raster): FoundSheet[] {
  let found: Found[] = [],
    sheets: { paper: Paper; four: Found[] }[] = []
  for (const edge of EDGES) {
    found = joined(found, detect(photo, edge))
    sheets = group(found)
    if (sheets.length > 0 && 4 * sheets.length === found.length) break
  }
  return sheets.flatMap(({ paper, four }) => mapOf(photo, paper, four) ?? [])
}

/** The same by hand: the outer corners of the four markers, clockwise from the sheet's top left, pixels. */
export function sheetAt(paper: Paper, corners: readonly Point[]): FoundSheet | null {
  const outer = cornerMarkers(paper).map((m, i) => cornersOf(m)[i])
  const map = homographyOf(outer, corners)
  return map && { paper, map, off: 0, blur: 0 }
}
