import { z } from 'zod'
import type { Mark } from '../core/critique/mark'

const fraction = z.number().min(-0.5).max(1.5)
const place = z.tuple([fraction, fraction]).readonly()

/** A hand-drawn line: places in fractions of the picture, and the pressure there. */
export const strokePointsSchema = z
  .array(z.tuple([fraction, fraction, z.number().min(0).max(1)]).readonly())
  .min(1)
  .max(300)
  .readonly()

export const markSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('point'), at: place }),
  z.object({ kind: z.literal('stroke'), points: strokePointsSchema }),
  z.object({ kind: z.literal('arrow'), from: place, to: place })
]) satisfies z.ZodType<Mark>
