/** What is done to a photograph of work, and what may be doubted in one: for the page too, without what measures. */
import type { Point } from '../numeric/homography'

/** The photograph's own corners, clockwise from the top left, fractions. */
export const FRAME: readonly Point[] = [
  { x: 0, y: 0 },
  { x: 1, y: 0 },
  { x: 1, y: 1 },
  { x: 0, y: 1 }
]

/** Bare paper, or a grey card. */
export type KnownAs = 'white' | 'grey'

/** Nothing of it is done to the file. */
export interface PhotoSteps {
  /** Of the sheet in the photograph, clockwise from its top left, fractions; null: all of it is the picture. */
  readonly corners: readonly Point[] | null
  /** Width over height as it was typed; null: by the perspective. */
  readonly ratio: number | null
  /** A place of the photograph whose colour is known, fractions of it. */
  readonly known: (Point & { readonly as: KnownAs }) | null
  /** Of our printed strip's marks, clockwise from its own top left, fractions; null: it is not used. */
  readonly strip: readonly Point[] | null
  /** Uneven light is taken out too, as far as the paper shows it. */
  readonly even: boolean
}

export const NO_STEPS: PhotoSteps = { corners: null, ratio: null, known: null, strip: null, even: true }

export const PHOTO_DOUBTS = ['clipped-lights', 'clipped-darks', 'cast', 'glare', 'blur', 'small'] as const
export type PhotoDoubtKind = (typeof PHOTO_DOUBTS)[number]
export interface PhotoDoubt {
  readonly kind: PhotoDoubtKind
  readonly sentence: string
}
