/**
 * An old and a new version, laid on one another: what light did, whether each correction landed, which readings moved.
 */
import { eachPixel, spansOf, type Area } from '../picture/area'
import { nothingKnown } from '../critique/piece/known'
import { measurePiece } from '../critique/piece/measure'
import { DEFAULT_STANDARDS } from '../critique/standards'
import type { PieceReading } from '../critique/stations/piece'
import { readingsOfPiece } from '../critique/stations/readings'
import { checkTarget, type Target, type TargetState, type TargetSubject } from '../critique/target'
import { hueHistogram } from '../measure/harmony/hues'
import type { Source } from '../measure/source'
import { planesOf } from '../picture/planes'
import { MEASURED_ALPHA, type Raster } from '../picture/raster'
import { register, type Registration } from '../register/register'
import type { WheelName } from '../wheel/steps'
import { align, withoutLight, type Aligned } from './aligned'
import { lightBetween, type LightBetween } from './light'
import { movedBetween, type Moved } from './moved'
import { landingOf, type Landing } from './verdict'

/** What a correction asked for, and where it was marked on the old version. */
export interface Asked {
  readonly target: Target
  readonly area: Area | null
}

export interface Landed {
  readonly landing: Landing
  readonly before: TargetState | null
  readonly after: TargetState | null
}

export interface Version {
  readonly raster: Raster
  readonly source: Source
}

export interface Comparison {
  readonly registration: Registration
  /** Null when one does not lie on the other. */
  readonly light: LightBetween | null
  readonly landed: readonly Landed[]
  /** Readings whose figure moved by more than a new photograph moves it. */
  readonly moved: readonly Moved[]
}

/** Of a marked area, so much has to be in sight in both versions. */
const IN_SIGHT = 0.7

interface Measured extends TargetSubject {
  readonly readings: readonly PieceReading[]
}

function measured(raster: Raster, source: Source, wheel: WheelName): Measured {
  const planes = planesOf(raster),
    known = nothingKnown(wheel),
    measures = measurePiece({ pixels: { raster, planes }, source, known })
  return {
    raster,
    planes,
    report: measures.report,
    hues: hueHistogram(raster, planes, wheel),
    readings: readingsOfPiece(measures, known, { ...DEFAULT_STANDARDS, wheel })
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

interface Options {
  readonly wheel: WheelName
  readonly asked: readonly Asked[]
  /** Whether another light is taken out before the new version is measured. */
  readonly lightOut: boolean
}

export function compareVersions(old: Version, next: Version, { wheel, asked, lightOut }: Options): Comparison {
  const plane = ({ raster }: Version) => ({ ...raster, data: planesOf(raster).value }),
    registration = register(plane(old), plane(next))
  const cannot: Landed = { landing: 'cannot-tell', before: null, after: null }
  if (!registration.map) return { registration, light: null, landed: asked.map(() => cannot), moved: [] }
  const aligned = align(old.raster, next.raster, registration.map),
    light = lightBetween(aligned)
  const before = measured(aligned.old, old.source, wheel),
    after = measured(
      lightOut && light.sure ? withoutLight(aligned.next, light.gains) : aligned.next,
      next.source,
      wheel
    )
  const landed = asked.map(({ target, area }): Landed => {
    if (area && inSight(area, aligned) < IN_SIGHT) return cannot
    const [was, is] = [before, after].map(subject => checkTarget(target, area, subject))
    return { landing: landingOf(target, was, is), before: was, after: is }
  })
  return { registration, light, landed, moved: movedBetween(before.readings, after.readings) }
}
