/** What the page and the picture worker say to each other: types only. */
import type { KnownArea, PieceKnown } from '~~/core/critique/piece/known'
import type { AreaMeasures, PieceMeasures } from '~~/core/critique/piece/measure'
import type { Source } from '~~/core/measure/source'
import type { ColourDescription } from '~~/core/wheel/describe'
import type { LensRequest } from '~~/core/lens/lens'
import type { DepthLadder } from '~~/core/measure/value/depth'
import type { FramingRead } from '~~/core/measure/composition/framing'
import type { Patch } from '~~/core/measure/value/patches'
import type { RankedScheme } from '~~/core/measure/report'
import type { ScatterPoint } from '~~/core/measure/harmony/scatter'
import type { Area } from '~~/core/picture/area'
import type { EffectNumbers, EffectSubject } from '~~/core/trial/effect'
import type { Trial } from '~~/core/trial/trial'
import type { SectorScheme } from '~~/core/wheel/schemes'
import type { WheelName } from '~~/core/wheel/steps'
import type { Point } from '~~/shared/notes'

export interface ProbeReading extends ColourDescription {
  /** Temperature against the ring around the pointer. */
  readonly relativeTemperature: number | null
}

export interface BlackPatch extends Patch {
  /** Mixed blacks of the same value, hex. */ readonly blacks: readonly string[]
}
export interface TriedArea {
  readonly trial: Trial
  readonly area: Area | null
}
/** The picture itself, or the reference it was made from. */
export type Which = 'own' | 'reference'

export interface PictureWorker {
  /** Takes a picture: decoded, planes made. */
  load(file: Blob, which: Which): Promise<{ width: number; height: number }>
  lens(request: LensRequest, edge?: number, which?: Which): Promise<ImageBitmap>
  /** Counts in 64 bins of value, for the value rule. */
  histogram(): Promise<number[]>
  /** Coloured weight in 1° bins of a wheel, as shares of the whole. */
  hues(wheel: WheelName): Promise<number[]>
  /** What an area is, at every station. */
  area(name: string, area: Area): Promise<AreaMeasures>
  /** Everything that is measured of the piece, with what is known of it. */
  piece(known: PieceKnown, source: Source): Promise<PieceMeasures>
  /** The colour under a point in fractions; null where the picture is transparent. */
  probe(x: number, y: number, wheel: WheelName): Promise<ProbeReading | null>
  /** Flat black patch by patch, with what could be mixed instead. */
  flatBlacks(darksTemperature: number): Promise<BlackPatch[]>
  depth(areas: readonly KnownArea[]): Promise<DepthLadder>
  /** A scheme at a rotation of the critic's choosing; null without colour. */
  schemeAt(scheme: SectorScheme, rotation: number, wheel: WheelName): Promise<RankedScheme | null>
  scatter(): Promise<ScatterPoint[]>
  /** How strongly each place pulls the eye, 0–1. */
  pulls(points: readonly Point[]): Promise<number[]>
  framings(): Promise<FramingRead[]>
  /** The picture with trials applied one after the other. @param quick for a hand on a slider. */
  tried(trials: readonly TriedArea[], quick: boolean): Promise<ImageBitmap>
  /** Readings of each subject with the trials applied; without any, as the picture is. */
  effect(trials: readonly TriedArea[], subjects: readonly EffectSubject[], known: PieceKnown): Promise<EffectNumbers[]>
  /** Mean linear light of an area, for taking a shadow to another colour; null where it holds no pixel. */
  lightOf(area: Area): Promise<readonly [number, number, number] | null>
}
