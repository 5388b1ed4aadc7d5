import { z } from 'zod'
import type { Comparison, Landed, Outcome } from '../../core/compare/outcome'
import { LANDINGS } from '../../core/compare/verdict'
import { UNITS } from '../../core/critique/unit'
import { contractOf } from '../contract'
import { correctionSchema } from '../critique'
import { stationSchema } from '../station'
import { stageSchema } from './submission'

/** One of several versions of a piece. */
export const versionSchema = z.object({
  id: z.int(),
  /** From 1, in the order of handing in. */
  number: z.int().positive(),
  handedInAt: z.iso.datetime(),
  stage: stageSchema,
  state: z.enum(['waiting', 'released']),
  width: z.int(),
  height: z.int()
})
export type Version = z.infer<typeof versionSchema>
export const versionListSchema = z.array(versionSchema)

const pointSchema = z.object({ x: z.number(), y: z.number() })
/** Of the old picture in the new one, clockwise from its top left; beyond the border where it was cropped. */
export const versionCornersSchema = z
  .array(z.object({ x: z.number().min(-1).max(2), y: z.number().min(-1).max(2) }))
  .length(4, 'Set all four corners.')
export const cornersInputSchema = z.object({ corners: versionCornersSchema.nullable() })

export const landingSchema = z.enum(LANDINGS)
export const landingInputSchema = z.object({ landing: landingSchema.nullable() })
export const carryInputSchema = z.object({ corrections: z.array(z.int()).min(1).max(40) })

const stateSchema = z.object({ value: z.number(), reached: z.boolean() }).nullable()
const landedSchema = contractOf<Landed>()(z.object({ landing: landingSchema, before: stateSchema, after: stateSchema }))
const outcomeSchema = contractOf<Outcome>()(
  z.object({
    landed: z.array(landedSchema).readonly(),
    moved: z
      .array(
        z.object({
          id: z.string(),
          station: stationSchema,
          unit: z.enum(UNITS),
          before: z.number(),
          after: z.number(),
          sentence: z.string(),
          better: z.boolean().nullable()
        })
      )
      .readonly()
  })
)
const lightSchema = z.object({
  gains: z.tuple([z.number(), z.number(), z.number()]).readonly(),
  contrast: z.number(),
  stops: z.number(),
  tint: z.number(),
  sure: z.boolean()
})
/** As it is measured and kept. */
export const comparisonSchema = contractOf<Comparison>()(
  z.object({
    registration: z.object({
      match: z.enum(['sure', 'unsure', 'another']),
      corners: z.array(pointSchema).readonly().nullable(),
      map: z.array(z.number()).readonly().nullable(),
      evidence: z
        .object({
          agreement: z.number(),
          patches: z.number(),
          reach: z.number(),
          margin: z.number(),
          overlap: z.number(),
          loose: z.number()
        })
        .nullable()
    }),
    shared: z.number(),
    light: lightSchema.nullable(),
    seen: outcomeSchema,
    evened: outcomeSchema.nullable()
  })
)

/** A correction of the old version, and what became of it. */
export const landedCorrectionSchema = z.object({
  correction: correctionSchema,
  seen: landedSchema,
  evened: landedSchema.nullable(),
  /** The instructor's own word; null while they have none. */
  word: landingSchema.nullable(),
  /** It stands in the new critique already. */
  carried: z.boolean()
})
export type LandedCorrection = z.infer<typeof landedCorrectionSchema>

/** Two versions, as one who may see them sees them. */
export const comparedSchema = z.object({
  old: versionSchema,
  new: versionSchema,
  comparison: comparisonSchema,
  byHand: z.boolean(),
  /** Empty for the learner until the new critique is released. */
  corrections: z.array(landedCorrectionSchema)
})
export type Compared = z.infer<typeof comparedSchema>
