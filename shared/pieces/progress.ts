import { z } from 'zod'
import type { ReadingLine } from '../../core/progress/lines'
import type { Practice } from '../../core/progress/practise'
import type { StationTally } from '../../core/progress/tally'
import { UNITS } from '../../core/critique/unit'
import { contractOf } from '../contract'
import { exerciseKeySchema } from '../exercises/exercise'
import { stationSchema } from '../station'
import { stageSchema } from './submission'

export const readingLineSchema = contractOf<ReadingLine>()(
  z.object({
    id: z.string(),
    name: z.string(),
    station: stationSchema,
    unit: z.enum(UNITS),
    wants: z.enum(['more', 'less']),
    standard: z.number(),
    low: z.number(),
    high: z.number(),
    points: z.array(z.object({ piece: z.int(), at: z.iso.datetime(), value: z.number() })).readonly(),
    trend: z.enum(['rises', 'falls', 'holds']).nullable()
  })
)
export const stationTallySchema = contractOf<StationTally>()(
  z.object({
    station: stationSchema,
    marked: z.int(),
    atFirst: z.int(),
    later: z.int(),
    open: z.int(),
    untried: z.int()
  })
)
const termPieceSchema = z.object({
  id: z.int(),
  title: z.string(),
  at: z.iso.datetime(),
  stage: stageSchema,
  version: z.int(),
  released: z.boolean()
})
export type TermPiece = z.infer<typeof termPieceSchema>

/** One learner over the term; themselves see what was released to them. */
export const progressSchema = z.object({
  learner: z.object({ id: z.int(), name: z.string() }),
  pieces: z.array(termPieceSchema),
  lines: z.array(readingLineSchema),
  tally: z.array(stationTallySchema),
  exercises: z.array(
    z.object({
      id: z.int(),
      title: z.string(),
      dueOn: z.iso.date(),
      state: z.enum(['set', 'handed in', 'confirmed', 'again'])
    })
  ),
  /** Pieces that came as studies. */
  studies: z.int()
})
export type Progress = z.infer<typeof progressSchema>

export const classProgressSchema = z.object({
  name: z.string(),
  learners: z.array(z.object({ id: z.int(), name: z.string(), pieces: z.int(), tally: z.array(stationTallySchema) })),
  practise: z.array(
    contractOf<Practice>()(
      z.object({
        key: exerciseKeySchema,
        station: stationSchema,
        learners: z.array(z.string()).readonly(),
        because: z.string()
      })
    )
  )
})
export type ClassProgress = z.infer<typeof classProgressSchema>
