/** A reading: one plain sentence about the picture, its figure, its evidence, and what trains it. */
import type { LensRequest } from '../lens/lens'
import type { ExerciseKey } from '../exercise/exercise'
import type { Target } from './target'

export type Station = 'first-look' | 'values' | 'focus' | 'temperature' | 'harmony' | 'light' | 'edges' | 'verdict'
export const STATIONS: readonly Station[] = ['first-look', 'values', 'focus', 'temperature', 'harmony', 'light', 'edges', 'verdict']

/** Stations at which corrections are made, with the letter their tags carry. */
export const STATION_LETTER: Readonly<Record<Station, string>> = {
  'first-look': 'A', 'values': 'V', 'focus': 'F', 'temperature': 'T', 'harmony': 'H', 'light': 'L', 'edges': 'E', 'verdict': 'G'
}

/** What a correction is called on the picture: its station's letter and its place in the order of importance. */
export const tagOf = ({ station, order }: { readonly station: Station, readonly order: number }): string => `${STATION_LETTER[station]}${order}`

export type ReadingVerdict = 'works' | 'look' | 'fix'

/** A number against its standard, for the bar under the sentence. */
export interface Figure {
  readonly value: number
  readonly standard: number
  readonly low: number
  readonly high: number
  /** What the bar shows, in words: read out instead of the picture of it. */
  readonly label: string
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
  readonly points?: readonly { readonly x: number, readonly y: number, readonly label: string }[]
  /** It is shown by filling the area it is about. */
  readonly silhouette?: true
  readonly trains: readonly ExerciseKey[]
  /** What "mark it" starts a correction with. */
  readonly correction?: { readonly what: string, readonly todo: string, readonly target: Target | null }
}
