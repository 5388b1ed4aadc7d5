/** What is known of a piece, from where each part of it is kept. */
import type { PieceKnown } from '../../../core/critique/piece/known'
import { SCHEMES } from '../../../core/wheel/schemes'
import { FOCUS_NAME } from '../../../shared/critique'
import { listAreas } from '../../db/pieces/areas'
import { findStandards } from '../../db/classes/classes'
import { findNotes } from '../../db/critique/critiques'
import type { Db } from '../../db/pool'
import { findPiece } from '../../db/pieces/submissions'

/** @throws Error when there is no such piece. */
export async function knownOf(db: Db, submissionId: number): Promise<PieceKnown> {
  const found = await findPiece(db, submissionId)
  if (!found) throw new Error(`there is no piece ${submissionId}`)
  const { classId, plannedScheme, question, about, stage } = found
  const [drawn, notes, { wheel }] = await Promise.all([
    listAreas(db, submissionId),
    findNotes(db, submissionId),
    findStandards(db, classId)
  ])
  const { pairs, surroundings, stops, firstEye, wholeFile, noFaces } = notes
  return {
    wheel,
    pairs,
    surroundings,
    stops,
    firstEye,
    wholeFile,
    noFaces,
    question,
    about: notes.about || about,
    stage,
    plan: SCHEMES.find(s => s.name === plannedScheme)?.name ?? null,
    focus: drawn.find(a => a.name === FOCUS_NAME)?.area ?? null,
    areas: drawn.filter(a => a.name !== FOCUS_NAME)
  }
}
