/** What was done to a piece's photograph. */
import { stepsInWords } from '../../../core/photo/words'
import type { PhotoSteps } from '../../../core/photo/steps'
import { photoStepsSchema, photoToldSchema, type PhotoTold } from '../../../shared/pieces/photo'
import type { PieceFacts } from '../../../shared/pieces/submission'
import type { Db, Row } from '../pool'

/** Of a row with `steps` and `told`. */
export function photoSaid({ steps, told }: Row): PieceFacts['photo'] {
  const done = photoStepsSchema.safeParse(steps),
    came = photoToldSchema.safeParse(told)
  if (!done.success || !came.success) return null
  return { done: stepsInWords(done.data, came.data), doubts: came.data.doubts.map(d => d.sentence) }
}

export interface Photo {
  readonly steps: PhotoSteps
  readonly told: PhotoTold
}

/** Steps of a submission's picture; null where it is the file as it was handed in. */
export async function findSteps(db: Db, submissionId: number): Promise<PhotoSteps | null> {
  const [rows] = await db.execute<Row[]>(
    'SELECT p.steps FROM submissions s JOIN pictures p ON p.id = s.picture_id WHERE s.id = ?',
    [submissionId]
  )
  return photoStepsSchema.safeParse(rows[0]?.steps).data ?? null
}
