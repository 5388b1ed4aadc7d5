/**
 * An old and a new version, laid on one another: what light did, whether each correction landed, which readings moved.
 */
import { measurePiece } from '../critique/piece/measure'
import { metIn } from '../measure/focus/met'
import type { PieceKnown } from '../critique/piece/known'
import type { HouseStandards } from '../critique/standards'
import type { PieceReading } from '../critique/stations/piece'
import { readingsOfPiece } from '../critique/stations/readings'
import { checkTarget, type Target, type TargetSubject } from '../critique/target'
import { hueHistogram } from '../measure/harmony/hues'
import type { Source } from '../measure/source'
import type { Point } from '../numeric/homography'
import { eachPixel, spansOf, type Area } from '../picture/area'
import { lumaPlane } from '../picture/luma'
import { planesOf } from '../picture/planes'
import { MEASURED_ALPHA, type Raster } from '../picture/raster'
import { register } from '../register/register'
import { registrationByHand } from '../register/by-hand'
import { align, withoutLight, type Aligned } from './aligned'
import { lightBetween } from './light'
import { movedBetween } from './moved'
import type { Comparison, Landed, Outcome } from './outcome'
import { landingOf } from './verdict'

/** What a correction asked for, and where it was marked on the old version; without a target it is for the eye. */
export interface Asked {
  readonly target: Target | null
  readonly area: Area | null
}

export interface Version {
  readonly raster: Raster
  readonly source: Source
}

/** Of a marked area, so much has to be in sight in both versions. */
const IN_SIGHT = 0.7
/** Stops of light and of tint, and a contrast, that nobody would see. */
const SLIGHT = 0.05

interface Measured extends TargetSubject {
  readonly readings: readonly PieceReading[]
}

interface Options {
  /** What is known of the old version: in its frame both are measured. */
  readonly known: PieceKnown
  readonly standards: HouseStandards
  readonly asked: readonly Asked[]
  /** The old picture's corners in the new one as somebody set them, clockwise from the top left: fractions. */
  readonly corners?: readonly Point[] | null
  /** Told 0–1. */
  readonly progress?: (share: number) => void
}

function measured(raster: Raster, source: Source, { known, standards }: Options): Measured {
  const planes = planesOf(raster),
    measures = measurePiece({ pixels: { raster, planes }, source, known })
  return {
    raster,
    planes,
    report: measures.report,
    hues: hueHistogram(raster, planes, known.wheel),
    met: metIn(known),
    readings: readingsOfPiece(measures, known, standards)
  }
}

/** Share of an area that both versions show. */
function inSight(area: Area, { old }: Aligned): number {
  let seen = 0,
    all = 0
  eachPixel(spansOf(area, old), i => {
    all++
    if (old.data[4 * i + 3] >= MEASURED_ALPHA) seen++
  })
  return all ? seen / all : 0
}

const CANNOT: Landed = { landing: 'cannot-tell', before: null, after: null }

function landedIn(aligned: Aligned, asked: readonly Asked[], [before, after]: readonly [Measured, Measured]): Landed[] {
  return asked.map(({ target, area }): Landed => {
    if (!target || (area && inSight(area, aligned) < IN_SIGHT)) return CANNOT
    const [was, is] = [before, after].map(subject => checkTarget(target, area, subject))
    return { landing: landingOf(target, was, is), before: was, after: is }
  })
}

/** @throws nothing; corners that are no picture's give another picture. */
export function compareVersions(old: Version, next: Version, options: Options): Comparison {
  const { asked, corners, progress = () => {} } = options
  const registration = corners
    ? registrationByHand(old.raster, next.raster, corners)
    : register(lumaPlane(old.raster), lumaPlane(next.raster), share => progress(0.5 * share))
  progress(0.5)
  if (!registration.map)
    return { registration, shared: 0, light: null, seen: { landed: asked.map(() => CANNOT), moved: [] }, evened: null }
  const aligned = align(old.raster, next.raster, registration.map),
    light = lightBetween(aligned)
  progress(0.6)
  const before = measured(aligned.old, old.source, options)
  progress(0.7)
  const outcome = (raster: Raster): Outcome => {
    const after = measured(raster, next.source, options)
    return { landed: landedIn(aligned, asked, [before, after]), moved: movedBetween(before.readings, after.readings) }
  }
  const seen = outcome(aligned.next)
  progress(0.85)
  const another = light.sure && Math.max(Math.abs(light.stops), light.tint, Math.abs(light.contrast - 1)) > SLIGHT,
    evened = another ? outcome(withoutLight(aligned.next, light)) : null
  progress(1)
  return { registration, shared: aligned.shared, light, seen, evened }
}
