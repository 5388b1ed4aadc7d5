/** What the page and the paint worker say to each other: types only. */
import type { MassMap } from '~~/core/masses/masses'
import type { TriedPalette } from '~~/core/paint/asked/palettes'
import type { Raster } from '~~/core/picture/raster'
import type { Rgb } from '~~/core/colour/srgb'
import type { Dark } from '~~/core/paint/asked/dark'
import type { MudPair } from '~~/core/paint/asked/mud'
import type { Muted } from '~~/core/paint/asked/muted'
import type { ReachedStep } from '~~/core/paint/asked/reach'
import type { Lacking } from '~~/core/paint/lacking'
import type { Learned, ReadMixture } from '~~/core/paint/learned'
import type { OwnPart, Step } from '~~/core/paint/mixture'
import type { OwnPaint } from '~~/core/paint/own'
import type { ToldRecipe } from '~~/core/paint/told'
import type { ColourDescription } from '~~/core/wheel/describe'
import type { WheelName } from '~~/core/wheel/steps'

export interface Mixture {
  readonly described: ColourDescription
  /** From the first to the others, where there are others. */
  readonly steps: readonly Step[]
}

/** Paints are given with each question: what is owned changes while the page is open. */
export interface PaintWorker {
  /** @returns null where nothing is in it. */
  mixture(parts: readonly OwnPart[], wheel: WheelName): Promise<Mixture | null>
  /** @returns the three best, and which paint, if one were bought, would help most. */
  recipes(hex: string, paints: readonly OwnPaint[]): Promise<{ recipes: ToldRecipe[]; lacking: Lacking | null }>
  /** @param place of the paint in the list. @returns null where it is a white. */
  muted(place: number, paints: readonly OwnPaint[]): Promise<Muted | null>
  darks(value: number, paints: readonly OwnPaint[]): Promise<Dark[]>
  /** Pairs by the names of their paints. */
  mud(paints: readonly OwnPaint[], wheel: WheelName): Promise<(MudPair & { names: readonly [string, string] })[]>
  wheel(paints: readonly OwnPaint[], wheel: WheelName): Promise<ReachedStep[]>
  /** @param raster small. */
  masses(raster: Raster, count: number): Promise<MassMap>
  /** @param masses linear light of each. */
  palettes(masses: readonly Rgb[], paints: readonly OwnPaint[], wheel: WheelName): Promise<TriedPalette[]>
  learned(paints: readonly OwnPaint[], read: readonly ReadMixture[]): Promise<Learned[]>
}
