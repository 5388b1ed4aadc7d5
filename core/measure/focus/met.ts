/**
 * What the eye meets before anything measured, as far as the critic has said: it holds for every version of a piece.
 */
import type { KnownThing } from './attention/peaks'

export interface Met {
  /** Faces and figures that the critic marked. */
  readonly faces?: readonly KnownThing[]
  /** What is found as a face is none. */
  readonly noFaces?: boolean
}

/** An area of this name is a face or a figure. */
const FACE = /\b(face|faces|head|portrait|figure|figures|person|people|man|woman|boy|girl|child)\b/i

/** Of the areas drawn on a piece, and what was said of faces. */
export const metIn = ({
  areas = [],
  noFaces = false
}: {
  readonly areas?: readonly KnownThing[]
  readonly noFaces?: boolean
}): Met => ({ faces: areas.filter(({ name }) => FACE.test(name)), noFaces })
