/** What the page and the picture worker say to each other: types only. */
import type { DeclaredFit } from '~~/core/critique/readings'
import type { ColourDescription } from '~~/core/wheel/describe'
import type { LensRequest } from '~~/core/lens/lens'
import type { Silhouette } from '~~/core/measure/composition'
import type { DepthLadder, DepthName } from '~~/core/measure/depth'
import type { CutOut } from '~~/core/measure/edges'
import type { ReadingOrder } from '~~/core/measure/focus'
import type { FramingRead } from '~~/core/measure/framing'
import type { GreyDisagreement } from '~~/core/measure/greys'
import type { ambientOf } from '~~/core/measure/light'
import type { Patch } from '~~/core/measure/patches'
import type { EdgesSection, FocusSection, HarmonySection, LightSection, Measured, RankedScheme, Separation, ValueSection } from '~~/core/measure/report'
import type { ScatterPoint } from '~~/core/measure/scatter'
import type { AreaTemperature } from '~~/core/measure/temperature'
import type { ThumbnailRead } from '~~/core/measure/thumbnail'
import type { Area } from '~~/core/picture/area'
import type { EffectNumbers, EffectSubject } from '~~/core/trial/effect'
import type { Trial } from '~~/core/trial/trial'
import type { SectorScheme } from '~~/core/wheel/schemes'
import type { WheelName } from '~~/core/wheel/steps'
import type { PickedPair, Point } from '~~/shared/notes'

export interface ProbeReading extends ColourDescription {
  /** Temperature against the ring around the pointer. */
  readonly relativeTemperature: number | null
}

export interface FocusedSections { readonly focus: Measured<FocusSection>, readonly edges: Measured<EdgesSection> }
export interface BlackPatch extends Patch { /** Mixed blacks of the same value, hex. */ readonly blacks: readonly string[] }
export interface FigureRead { readonly temperature: AreaTemperature | null, readonly cutOut: CutOut | null, readonly silhouette: Silhouette | null }
export interface LightRead { readonly section: Measured<LightSection>, readonly ambient: ReturnType<typeof ambientOf> }
export interface TriedArea { readonly trial: Trial, readonly area: Area | null }
/** The picture itself, or the reference it was made from. */
export type Which = 'own' | 'reference'

export interface PictureWorker {
  /** Takes a picture: decoded, planes made. */
  load(file: Blob, which: Which): Promise<{ width: number, height: number }>
  lens(request: LensRequest, edge?: number, which?: Which): Promise<ImageBitmap>
  /** Counts in 64 bins of value, for the value rule. */
  histogram(): Promise<number[]>
  /** Coloured weight in 1° bins of a wheel, as shares of the whole. */
  hues(wheel: WheelName): Promise<number[]>
  separation(name: string, area: Area): Promise<Measured<Separation>>
  /** What an intended focus changes in the report. */
  focused(area: Area): Promise<FocusedSections>
  /** The planned scheme's coverage at its best rotation; null without colour. */
  declared(scheme: SectorScheme, wheel: WheelName): Promise<DeclaredFit | null>
  /** The colour under a point in fractions; null where the picture is transparent. */
  probe(x: number, y: number, wheel: WheelName): Promise<ProbeReading | null>
  greys(): Promise<GreyDisagreement[]>
  patches(darksTemperature: number): Promise<{ black: BlackPatch[], white: Patch[] }>
  thumbnail(focus: Area | null): Promise<ThumbnailRead>
  depth(areas: Partial<Record<DepthName, Area>>): Promise<DepthLadder>
  figure(area: Area): Promise<FigureRead>
  harmony(wheel: WheelName): Promise<Measured<HarmonySection>>
  /** A scheme at a rotation of the critic's choosing; null without colour. */
  schemeAt(scheme: SectorScheme, rotation: number, wheel: WheelName): Promise<RankedScheme | null>
  scatter(): Promise<ScatterPoint[]>
  /** How strongly each place pulls the eye, 0–1. */
  pulls(points: readonly Point[]): Promise<number[]>
  route(stops: readonly Area[]): Promise<ReadingOrder>
  light(pairs: readonly PickedPair[], surroundings: Point | null): Promise<LightRead>
  framings(): Promise<FramingRead[]>
  /** The picture with trials applied one after the other. @param quick for a hand on a slider. */
  tried(trials: readonly TriedArea[], quick: boolean): Promise<ImageBitmap>
  /** Readings of each subject with the trials applied; without any, as the picture is. */
  effect(trials: readonly TriedArea[], subjects: readonly EffectSubject[], wheel: WheelName): Promise<EffectNumbers[]>
  /** Mean linear light of an area, for taking a shadow to another colour; null where it holds no pixel. */
  lightOf(area: Area): Promise<readonly [number, number, number] | null>
  referenceValue(): Promise<Measured<ValueSection>>
}
