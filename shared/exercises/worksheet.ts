/** Worksheets as they are printed, read, disputed and confirmed. */
import { z } from 'zod'
import { PAPERS } from '../../core/exercise/worksheet/worksheet'

export const paperSchema = z.enum(PAPERS)
export const worksheetQuerySchema = z.object({
  as: z.enum(['pdf', 'svg']).default('pdf'),
  paper: paperSchema.default('a4'),
  answers: z.stringbool().default(false)
})

const point = z.object({ x: z.number(), y: z.number() })
const boxReadSchema = z.object({
  name: z.string(),
  label: z.string(),
  x: z.number(),
  y: z.number(),
  w: z.number(),
  h: z.number(),
  wanted: z.string(),
  measured: z.string(),
  deltaE: z.number(),
  verdict: z.enum(['right', 'near', 'off']),
  word: z.string(),
  doubt: z.string().nullable()
})
/** What was read of one sheet. @property corners of its paper, fractions of the photograph. */
export const sheetReadSchema = z.object({
  corners: z.array(point),
  boxes: z.array(boxReadSchema),
  doubts: z.array(z.string())
})
export type ReadSheet = z.infer<typeof sheetReadSchema>

/** A learner's word against a box's verdict. */
export const disputeSchema = z.object({ box: z.string(), word: z.string() })
export type Dispute = z.infer<typeof disputeSchema>
export const disputeInputSchema = z.object({
  box: z.string().max(120),
  word: z.string().trim().max(300, 'Keep this under 300 characters.')
})

export const keptSheetSchema = z.object({
  id: z.int(),
  readAt: z.iso.datetime(),
  confirmedAt: z.iso.datetime().nullable(),
  sheet: sheetReadSchema,
  disputes: z.array(disputeSchema)
})
export type KeptSheet = z.infer<typeof keptSheetSchema>
export const keptSheetListSchema = z.array(keptSheetSchema)

/**
 * The outer corners of the four markers, set by hand: fractions of the photograph, clockwise from the sheet's top left.
 */
export const cornersSchema = z.array(z.object({ x: z.number().min(0).max(1), y: z.number().min(0).max(1) })).length(4)

/** What became of each sheet in a photograph. */
export const sheetsTakenSchema = z.array(
  z.discriminatedUnion('kind', [
    z.object({ kind: z.literal('kept'), assignmentId: z.int(), learner: z.string(), right: z.int(), of: z.int() }),
    z.object({ kind: z.literal('refused'), reason: z.string() })
  ])
)
export type SheetsTaken = z.infer<typeof sheetsTakenSchema>

/** How far the reading is. @property page of a scan, null before or without. @property share of everything, 0–1. */
export const sheetsToldSchema = z.object({
  page: z.object({ page: z.int(), of: z.int() }).nullable(),
  share: z.number()
})
export type SheetsTold = z.infer<typeof sheetsToldSchema>

/** A scan of a whole class. */
export const SCAN_BYTES = 100_000_000

/** One's own printer as it is known. @property off ΔE00 of the grey that is furthest from what it is to be. */
export const knownPrinterSchema = z.object({ off: z.number(), measuredAt: z.iso.datetime() })
export type KnownPrinter = z.infer<typeof knownPrinterSchema>
