import { z } from 'zod'
import type { Area } from '../core/picture/area'

const fraction = z.number().min(-0.5).max(1.5)

/** An area in fractions of the picture; a little outside is allowed, as a hand overshoots. */
export const areaSchema = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('rectangle'),
    x: fraction,
    y: fraction,
    w: z.number().positive().max(2),
    h: z.number().positive().max(2)
  }),
  z.object({
    kind: z.literal('polygon'),
    points: z
      .array(z.tuple([fraction, fraction]).readonly())
      .min(3)
      .max(400)
      .readonly()
  })
]) satisfies z.ZodType<Area>
