import { z } from 'zod'
import { EXERCISE_KEYS } from '../../core/exercise'

export const exerciseKeySchema = z.enum(EXERCISE_KEYS)
