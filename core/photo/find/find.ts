/** The four corners of a sheet or a canvas in a photograph of it. */
import type { Point } from '../../numeric/homography'
import { liesIn } from '../../numeric/quad'
import type { Raster } from '../../picture/raster'
import { fitWithin, reduceTo } from '../../picture/resample'
import { hasBand } from './band'
import { edgesOf, type EdgeMap } from './edges'
import { linesOf } from './lines'
import { paperAround } from './paper'
import { quadsOf, type Quad } from './quads'
import { rectangleOf } from './rectangle'
import { refineCorners } from './refine'
import { FRAME } from '../steps'
import { tableLikeness } from './table'

/** Long edge that lines are looked for at, lines near level and near upright, the long edge that sides are laid at. */
const EDGE = 400,
  LINES = 30,
  FINE = 1000

/** What has to speak for a rectangle, and for its weakest side, to be believed (`npm run photos`). */
const SURE = { score: 0.7, side: 0.62 } as const
/**
 * And how much less has to speak for any other one, whose corners lie so far off, of the diagonal: where two speak
 * alike, nobody can tell which is the sheet. Paper about a picture is looked for by itself.
 */
const RIVAL = { less: 0.017, apart: 0.015 } as const

export interface FoundSheet {
  /** Clockwise from the top left, fractions of the photograph; the photograph's own where it is not sure. */
  readonly corners: readonly Point[]
  readonly sure: boolean
  /** What speaks for it, 0–1. */
  readonly score: number
  readonly weakest: number
}

const edgesAt = (photo: Raster, edge: number): EdgeMap => {
  const { width, height } = fitWithin(photo.width, photo.height, edge)
  return edgesOf(reduceTo({ ...photo, channels: 4 }, width, height))
}

const scaled = (points: readonly Point[], x: number, y: number): Point[] =>
  points.map(p => ({ x: p.x * x, y: p.y * y }))

/** @param all the best first. */
function hasRival(best: Quad, all: readonly Quad[], diagonal: number): boolean {
  for (const { corners, score } of all) {
    if (score < best.score - RIVAL.less) return false
    if (corners.some((c, i) => Math.hypot(c.x - best.corners[i].x, c.y - best.corners[i].y) > RIVAL.apart * diagonal))
      return true
  }
  return false
}

/** Finds the sheet in one photograph. @param beside what is no part of it, fractions: our printed strip. */
export type SheetFinder = (beside?: Point | null) => FoundSheet

/** @param photo at 1000 pixels or more: looked through once, whatever turns out to lie beside the sheet. */
export function sheetFinder(photo: Raster): SheetFinder {
  const small = edgesAt(photo, EDGE),
    seen = { edges: small, table: tableLikeness(small) },
    quads = quadsOf(linesOf(small, LINES), seen)
  return (beside = null) => {
    const all = quads.filter(
      ({ corners }) => !beside || !liesIn(corners, { x: beside.x * small.width, y: beside.y * small.height })
    )
    if (!all.length) return { corners: FRAME, sure: false, score: 0, weakest: 0 }
    const paper = paperAround(all[0], all, seen),
      best = paper ?? all[0],
      weakest = Math.min(...best.sides),
      clear =
        paper !== null || !(hasRival(best, all, Math.hypot(small.width, small.height)) || hasBand(small, best.corners))
    const sure = best.score >= SURE.score && weakest >= SURE.side && clear
    return { corners: sure ? laidAt(photo, best.corners, small) : FRAME, sure, score: best.score, weakest }
  }
}

/** @param corners in pixels of the small photograph. @returns them to a part of a pixel of a larger one, fractions. */
function laidAt(photo: Raster, corners: readonly Point[], small: { width: number; height: number }): Point[] {
  const fine = edgesAt(photo, FINE),
    there = scaled(corners, fine.width / small.width, fine.height / small.height),
    moved = refineCorners(fine, there)
  return scaled(rectangleOf(moved, fine) ? moved : there, 1 / fine.width, 1 / fine.height)
}

/** The same, where nothing is known to lie beside it. */
export const findSheet = (photo: Raster, beside: Point | null = null): FoundSheet => sheetFinder(photo)(beside)
