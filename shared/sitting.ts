/** A call's pieces worked through in front of others, and the record of what was said on which. */
import { z } from 'zod'
import { STANDINGS, STEPS } from '../core/call/sitting'

/** @property by whose it is; null where the guest did not agree to be named. @property seconds it was talked about. */
export const sittingPieceSchema = z.object({
  id: z.int(),
  title: z.string(),
  by: z.string().nullable(),
  question: z.string(),
  width: z.int(),
  height: z.int(),
  standing: z.enum(STANDINGS),
  seconds: z.int().min(0),
  said: z.string(),
  /** Corrections marked on it, by their tags and what they say. */
  marked: z.array(z.string())
})
export type SittingPiece = z.infer<typeof sittingPieceSchema>

/**
 * @property pieces in the order they come up. @property up the one before the room. @property paused its time does not
 * run.
 */
export const sittingSchema = z.object({
  id: z.int(),
  call: z.string(),
  budgetMinutes: z.int(),
  begunAt: z.iso.datetime(),
  endedAt: z.iso.datetime().nullable(),
  up: z.int().nullable(),
  paused: z.boolean(),
  pieces: z.array(sittingPieceSchema)
})
export type Sitting = z.infer<typeof sittingSchema>

/**
 * What is done with the one that is up, a piece picked by hand, a pause, and going on after it. @property up what was
 * seen to be up: pressed in two windows, it is done once.
 */
export const sittingStepSchema = z.union([
  z.object({ up: z.int().nullable(), step: z.enum([...STEPS, 'pause', 'go-on']) }),
  z.object({ up: z.int().nullable(), pick: z.int() })
])
export type SittingStep = z.infer<typeof sittingStepSchema>

export const saidSchema = z.object({ said: z.string().trim().max(4000, 'Keep this under 4000 characters.') })
