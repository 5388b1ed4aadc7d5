/** Paints and pencils that somebody owns, and the box that recipes are looked for in. */
import { convertLinearToLab } from '../colour/lab'
import { linearOfHex } from '../colour/srgb'
import type { PaintBox } from './recipes'
import { paintOf, whitePaint, type Paint } from './mixing'

export const MEDIUMS = ['oil', 'acrylic', 'gouache', 'watercolour', 'pastel', 'pencil', 'other'] as const
export type Medium = (typeof MEDIUMS)[number]

/** @property pigment index names as on the tube; empty where nobody knows. */
export interface OwnPaint {
  readonly name: string
  readonly medium: Medium
  readonly pigment: string
  /** As it comes from the tube, and one part of it in ten of white; null where nobody made that. */
  readonly masstone: string
  readonly tint: string | null
}

/** Chroma, CIELAB, up to which a paint is a white or a black; values from and up to which. */
const GREY = 8,
  WHITE_FROM = 90,
  BLACK_TO = 24
const labOf = (hex: string) => convertLinearToLab(linearOfHex(hex))
const isGrey = (hex: string): boolean => {
  const [, a, b] = labOf(hex)
  return Math.hypot(a, b) < GREY
}
export const isWhite = ({ masstone }: Pick<OwnPaint, 'masstone'>): boolean =>
  isGrey(masstone) && labOf(masstone)[0] >= WHITE_FROM
export const isBlack = ({ masstone }: Pick<OwnPaint, 'masstone'>): boolean =>
  isGrey(masstone) && labOf(masstone)[0] <= BLACK_TO

/** What mixes where nobody named their white. */
export const USUAL_WHITE = { name: 'white', masstone: '#f8f8f5' } as const

/** @property box of what is mixed; @property own the paint that each of the box's is. */
export interface OwnBox<P extends OwnPaint = OwnPaint> {
  readonly box: PaintBox
  readonly own: readonly P[]
  readonly white: { readonly name: string; readonly masstone: string }
}

/** @param paints whites among them: the lightest is what lightens. */
export function boxOf<P extends OwnPaint>(paints: readonly P[]): OwnBox<P> {
  const whites = paints.filter(isWhite).sort((p, q) => labOf(q.masstone)[0] - labOf(p.masstone)[0]),
    own = paints.filter(p => !isWhite(p)),
    white = whites[0] ?? USUAL_WHITE,
    by = whitePaint(linearOfHex(white.masstone))
  return { box: { paints: own.map(p => paintBy(p, by)), white: by }, own, white }
}

export const paintBy = ({ masstone, tint }: Pick<OwnPaint, 'masstone' | 'tint'>, white: Paint): Paint =>
  paintOf(linearOfHex(masstone), tint ? linearOfHex(tint) : null, white)
