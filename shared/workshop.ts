/** The workshop: own paints, kept swatches, drills for the eye. */
import { z } from 'zod'
import { DRILL_NAMES, drillOf } from '../core/drill/drills'
import { MEDIUMS } from '../core/paint/own'
import { MOST_IN_MIXTURE } from '../core/paint/mixture'
import { paperSchema } from './exercises/worksheet'
import { wheelSchema } from './scheme'

export const hexSchema = z
  .string()
  .regex(/^#[0-9a-f]{6}$/, 'This is not a colour: six hexadecimal digits, as in #2a71b0.')

export const paintInputSchema = z.object({
  name: z.string().trim().min(1, 'A paint needs a name.').max(80, 'Keep the name under 80 characters.'),
  medium: z.enum(MEDIUMS),
  pigment: z.string().trim().max(60, 'Keep the pigments under 60 characters.'),
  masstone: hexSchema,
  tint: hexSchema.nullable()
})
export type PaintInput = z.infer<typeof paintInputSchema>
export const paintSchema = paintInputSchema.extend({ id: z.int() })
export type KeptPaint = z.infer<typeof paintSchema>

/** More than any box, of one person or one class. */
export const MOST_PAINTS = 120
export const paintsInputSchema = z.object({
  paints: z
    .array(paintInputSchema)
    .min(1, 'There is no paint in this.')
    .max(MOST_PAINTS, `At most ${MOST_PAINTS} paints.`)
})

/** One paint of a mixture, as it was then: it may be given away since. */
export const swatchPartSchema = z.object({
  name: z.string().max(80),
  masstone: hexSchema,
  tint: hexSchema.nullable(),
  parts: z.number().positive().max(1000)
})
export const SWATCH_KINDS = ['colour', 'mixture', 'palette'] as const
export const MOST_IN_PALETTE = 12
export const swatchInputSchema = z.object({
  kind: z.enum(SWATCH_KINDS),
  hexes: z.array(hexSchema).min(1).max(MOST_IN_PALETTE),
  parts: z.array(swatchPartSchema).max(MOST_IN_MIXTURE + 1),
  note: z.string().trim().max(400, 'Keep a note under 400 characters.')
})
export type SwatchInput = z.infer<typeof swatchInputSchema>
/** @property read what it gave on paper; null before it was painted and read. */
export const swatchSchema = swatchInputSchema.extend({
  id: z.int(),
  keptAt: z.iso.datetime(),
  read: z.object({ hex: hexSchema, at: z.iso.datetime() }).nullable()
})
export type KeptSwatch = z.infer<typeof swatchSchema>
/** What changes of one that is kept: its note; what it gave. */
export const swatchChangeSchema = z.union([
  z.object({ note: swatchInputSchema.shape.note }),
  z.object({ read: hexSchema.nullable() })
])

/** Without ids: the latest that are not read yet. */
export const swatchSheetQuerySchema = z.object({
  ids: z
    .string()
    .regex(/^\d+(,\d+)*$/, 'The swatches are numbers, by commas.')
    .transform(list => list.split(',').map(Number))
    .optional()
    .transform(ids => ids ?? []),
  paper: paperSchema.default('a4')
})

export const setListSchema = z.object({
  classId: z.int(),
  className: z.string(),
  mayChange: z.boolean(),
  paints: z.array(paintSchema)
})
export type SetList = z.infer<typeof setListSchema>

/** @property wheel of the first class one is in; the usual one without a class. */
export const workshopSchema = z.object({
  wheel: wheelSchema,
  paints: z.array(paintSchema),
  swatches: z.array(swatchSchema),
  lists: z.array(setListSchema)
})
export type Workshop = z.infer<typeof workshopSchema>

export const ROOMS = ['daylight', 'evening', 'dim', 'glare'] as const
/**
 * What the screen was seen to show, and where. @property black, @property white steps nearest to them that were told
 * apart, of four; @property gamma of the figure that went flat; null where nobody looked.
 */
export const conditionsSchema = z.object({
  black: z.int().min(0).max(4).nullable(),
  white: z.int().min(0).max(4).nullable(),
  gamma: z.number().min(1).max(4).nullable(),
  room: z.enum(ROOMS).nullable()
})
export type Conditions = z.infer<typeof conditionsSchema>

export const drillRunInputSchema = z
  .object({
    drill: z.enum(DRILL_NAMES),
    setting: z.string().max(24),
    wheel: wheelSchema,
    answers: z.array(z.object({ difference: z.number().positive().max(200), right: z.boolean() })).max(60),
    conditions: conditionsSchema
  })
  .refine(({ drill, setting }) => drillOf(drill).settings.includes(setting), 'There is no such drill.')
  .refine(
    ({ drill, answers }) => answers.length === drillOf(drill).questions,
    'This drill was not gone through to its end.'
  )
export type DrillRunInput = z.infer<typeof drillRunInputSchema>

export const drillRunSchema = z.object({
  id: z.int(),
  drill: z.enum(DRILL_NAMES),
  setting: z.string(),
  wheel: wheelSchema,
  threshold: z.number(),
  low: z.number(),
  high: z.number(),
  conditions: conditionsSchema,
  at: z.iso.datetime()
})
export type DrillRun = z.infer<typeof drillRunSchema>
/** A class's: each learner's runs, the latest first. */
export const classDrillsSchema = z.array(z.object({ id: z.int(), name: z.string(), runs: z.array(drillRunSchema) }))
export type ClassDrills = z.infer<typeof classDrillsSchema>
