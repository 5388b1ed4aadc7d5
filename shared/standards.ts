import { z } from 'zod'
import type { HouseStandards } from '../core/critique/standards'
import { wheelSchema } from './scheme'

const share = z.number().min(0, 'A share is at least 0 %.').max(1, 'A share is at most 100 %.')
const steps = z.number().min(0, 'At least 0.').max(100, 'At most 100.')

/** How often each reading was set aside in a class, by its id. */
export const setAsideSchema = z.record(z.string(), z.int().min(0))

/** A class's house standards: thresholds and schools. */
export const standardsSchema = z.object({
  wheel: wheelSchema,
  grey: z.enum(['value', 'luma', 'hsl', 'hsv']),
  opposites: z.enum(['full', 'one-step']),
  black: z.enum(['avoid', 'with-intent']),
  range: z
    .object({ full: steps, moderate: steps })
    .refine(r => r.full > r.moderate, 'A full range must be wider than a moderate one.'),
  nearBlack: share,
  merge: z.object({ value: steps, deltaE: steps }),
  lead: z.number().min(1, 'A ratio of at least 1.').max(10, 'At most 10 times.'),
  vivid: share,
  dull: z.number().min(0).max(0.3),
  lightMinusDark: steps,
  leavesLight: steps,
  lineDependence: share,
  cutout: z.number().min(1, 'A ratio of at least 1.').max(20),
  symmetry: share,
  horizon: z
    .object({ low: share, high: share })
    .refine(h => h.high > h.low, 'The lower bound must be below the upper one.')
}) satisfies z.ZodType<HouseStandards>
