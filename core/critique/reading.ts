/** A reading: one plain sentence about the picture, its figure, its evidence, and what trains it. */
import type { LensRequest } from '../lens/lens'
import type { ExerciseKey } from '../exercise/shelf'
import type { HouseStandards } from './standards'
import type { Station } from './stations/station'
import type { Target } from './target'
import type { Unit } from './unit'

export type ReadingVerdict = 'works' | 'look' | 'fix'

/** A number against its standard, for the bar under the sentence. */
export interface Figure {
  readonly unit: Unit
  readonly value: number
  readonly standard: number
  readonly low: number
  readonly high: number
  /** What the bar shows, in words: read out instead of the picture of it. */
  readonly label: string
  /** The house standard that the bound comes from; without one the bound is the reading's own. */
  readonly house?: keyof HouseStandards
  /** Where the bound is not the standard itself, why and how. */
  readonly eased?: string
}

export interface Reading {
  /** Stable name of what is read, e.g. `value.range`. */
  readonly id: string
  readonly station: Station
  readonly verdict: ReadingVerdict
  readonly sentence: string
  readonly why: string
  readonly figure?: Figure
  /** The lens that shows it. */
  readonly evidence?: LensRequest
  /** Places on the picture that show it, in fractions, with what stands beside each. */
  readonly points?: readonly { readonly x: number; readonly y: number; readonly label: string }[]
  /** It is shown by filling the area it is about. */
  readonly silhouette?: true
  readonly trains: readonly ExerciseKey[]
  /** What "mark it" starts a correction with. */
  readonly correction?: { readonly what: string; readonly todo: string; readonly target: Target | null }
  /** How much a fault takes from the picture by its own measure: 0 hardly anything – 1 as much as there is of it. */
  readonly weight?: number
}
