import { z } from 'zod'
import { showsSomething, TRIAL_LIMITS, type Trial, type TrialOperation } from '../core/trial/trial'
import { strokePointsSchema } from './mark'
import { wheelSchema } from './scheme'

const within = (least: number, most: number) => z.number().min(least).max(most)
const hex = z.string().regex(/^#[0-9a-f]{6}$/)
const channel = within(0, 64)

export const trialOperationSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('value'), by: within(-TRIAL_LIMITS.value, TRIAL_LIMITS.value) }),
  z.object({ kind: z.literal('range'), times: within(TRIAL_LIMITS.rangeLeast, TRIAL_LIMITS.rangeMost) }),
  z.object({ kind: z.literal('temperature'), by: within(-TRIAL_LIMITS.temperature, TRIAL_LIMITS.temperature) }),
  z.object({ kind: z.literal('chroma'), times: within(0, TRIAL_LIMITS.chroma) }),
  z.object({ kind: z.literal('hue'), wheel: wheelSchema, position: within(0, 360), share: within(0, 1) }),
  z.object({ kind: z.literal('light'), ratio: z.tuple([channel, channel, channel]).readonly() }),
  z.object({ kind: z.literal('edges'), by: within(-1, TRIAL_LIMITS.edges) }),
  z.object({ kind: z.literal('black'), hex })
]) satisfies z.ZodType<TrialOperation>

export const trialSchema = z
  .object({
    outside: z.boolean(),
    feather: within(0, TRIAL_LIMITS.feather),
    strength: within(0, 1),
    operations: z.array(trialOperationSchema).max(TRIAL_LIMITS.operations).readonly(),
    strokes: z
      .array(z.object({ hex, width: within(0.001, TRIAL_LIMITS.strokeWidth), points: strokePointsSchema }))
      .max(TRIAL_LIMITS.strokes)
      .readonly()
      .optional()
  })
  .refine(showsSomething, 'A trial changes something or shows a stroke.') satisfies z.ZodType<Trial>
