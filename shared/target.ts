import { z } from 'zod'
import type { Target } from '../core/critique/target'
import { sectorSchemeSchema } from './scheme'

const shareBound = z.number().min(0).max(1)
const temperatureBound = z.number().min(-100).max(100)
export const targetSchema = z.union([
  z.object({ measure: z.literal('range'), atLeast: z.number().min(0).max(100) }),
  z.object({ measure: z.literal('separation'), atLeast: z.number().min(0).max(100) }),
  z.object({ measure: z.literal('near-black'), atMost: shareBound }),
  z.object({ measure: z.literal('coverage'), scheme: sectorSchemeSchema, atLeast: shareBound }),
  z.object({ measure: z.literal('evenness'), atMost: shareBound }),
  z.object({ measure: z.literal('lead'), atLeast: z.number().min(1).max(10) }),
  z.object({ measure: z.literal('focus-rank'), atMost: z.int().min(1).max(5) }),
  z.object({ measure: z.literal('temperature'), atMost: temperatureBound }),
  z.object({ measure: z.literal('temperature'), atLeast: temperatureBound }),
  z.object({ measure: z.literal('line-dependence'), atMost: shareBound })
]) satisfies z.ZodType<Target>
