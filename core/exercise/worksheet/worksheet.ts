/**
 * A worksheet as it is printed and as it is read: the same places, in millimetres from the sheet's top left corner.
 * Drawing (`svg.ts`) and reading (`../reader`) know nothing of one another but this.
 */
import type { Settings } from '../settings'
import type { WheelName } from '../../wheel/steps'
import type { SheetCode } from './code'

export const PAPERS = ['a4', 'letter'] as const
export type Paper = (typeof PAPERS)[number]
/** Millimetres. ISO 216; ANSI/ASME Y14.1. */
export const PAPER_SIZE: Readonly<Record<Paper, { readonly width: number; readonly height: number }>> = {
  a4: { width: 210, height: 297 },
  letter: { width: 215.9, height: 279.4 }
}

/** Millimetres from the top left. */
export interface Place {
  readonly x: number
  readonly y: number
  readonly w: number
  readonly h: number
}

/**
 * What a box is to be painted with, and by what it is judged.
 * - `step`: the right step of the wheel, at whatever lightness the paint has. @property position degrees of the wheel.
 * - `value`: an even step between the learner's own ends, whatever its colour. @property value L*.
 * - `colour`: a mixture: its hue, its value and its strength.
 * - `run`: from one colour to another without a seam.
 */
export type Wanted =
  | { readonly kind: 'step'; readonly hex: string; readonly position: number }
  | { readonly kind: 'value'; readonly hex: string; readonly value: number }
  | { readonly kind: 'colour'; readonly hex: string }
  | { readonly kind: 'run'; readonly hex: string; readonly from: string; readonly to: string }

/**
 * @property name unique on the sheet. @property label printed under it. @property row boxes of a row are judged
 * together.
 */
export interface Box extends Place {
  readonly name: string
  readonly label: string
  readonly row: number
  readonly wanted: Wanted
}

/**
 * A line of text. @property x, y millimetres of its baseline. @property size points. @property width millimetres it
 * takes at most.
 */
export interface Line {
  readonly x: number
  readonly y: number
  readonly size: number
  readonly text: string
  readonly family: 'Sans' | 'Serif'
  readonly width: number
  readonly middle?: boolean
}

/** One of the printed greys. @property linear light that it sends back, of the paper's. */
export interface PrintedGrey extends Place {
  readonly linear: number
}

/** @property corner clockwise from the top left. @property id in the dictionary of markers. */
export interface Marker extends Place {
  readonly corner: 0 | 1 | 2 | 3
  readonly id: number
}

/** The labelled wheel. @property at positions of the scheme, in degrees. */
export interface PrintedWheel {
  readonly name: WheelName
  readonly x: number
  readonly y: number
  readonly radius: number
  readonly at: readonly number[]
}

/** A colour that is printed on the page. */
export interface Patch extends Place {
  readonly hex: string
}

/** Any page of ours that is printed and read back. @property text of its code. */
export interface PrintedSheet {
  readonly text: string
  readonly paper: Paper
  readonly width: number
  readonly height: number
  readonly boxes: readonly Box[]
  readonly patches?: readonly Patch[]
  /** To draw in freely: not judged. */
  readonly frames: readonly Place[]
  readonly lines: readonly Line[]
  readonly greys: readonly PrintedGrey[]
  readonly markers: readonly Marker[]
  readonly codePlace: Place
  readonly wheel: PrintedWheel | null
}

export interface Worksheet extends PrintedSheet {
  readonly code: SheetCode
  readonly settings: Settings
}
