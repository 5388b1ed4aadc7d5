/**
 * What is known of a piece beside its pixels: what its maker said, what the critic drew and picked, what its class goes
 * by.
 */
import type { Area } from '../../picture/area'
import type { SectorScheme } from '../../wheel/schemes'
import type { WheelName } from '../../wheel/steps'

/** In fractions of the picture. */
export interface Place {
  readonly x: number
  readonly y: number
}

export interface KnownArea {
  readonly id: number
  readonly name: string
  readonly area: Area
}

/** A sample of colour: a place that was clicked, or an area that was drawn. */
export type Picked = Place | Area

/** Where one material was picked in the light and in the shadow; a material begun has only the first. */
export interface PickedPair {
  readonly name: string
  readonly lit: Picked
  readonly shadow: Picked | null
}

export interface PieceKnown {
  readonly wheel: WheelName
  /** Where the eye should go. */
  readonly focus: Area | null
  /** Areas drawn, the focus not among them; those named as planes stand for the planes. */
  readonly areas: readonly KnownArea[]
  readonly pairs: readonly PickedPair[]
  /** A place of the sky, the wall or whatever else the shadows should carry. */
  readonly surroundings: Place | null
  /** The route the eye should take. */
  readonly stops: readonly Area[]
  /** Where the critic's eye went before anything was measured. */
  readonly firstEye: Place | null
  /** The scheme its maker planned, when one with sectors was planned. */
  readonly plan: SectorScheme | null
  /** A margin is counted with the picture. */
  readonly wholeFile: boolean
  /** What is found as a face is none. */
  readonly noFaces: boolean
  /** What its maker asks, and what the piece is about, in words. */
  readonly question: string
  readonly about: string
  /** A study is judged on what a study is for. */
  readonly stage: Stage | null
}

export type Stage = 'study' | 'in-progress' | 'finished'

export const nothingKnown = (wheel: WheelName): PieceKnown => ({
  wheel,
  focus: null,
  areas: [],
  pairs: [],
  surroundings: null,
  stops: [],
  firstEye: null,
  plan: null,
  wholeFile: false,
  noFaces: false,
  question: '',
  about: '',
  stage: null
})
