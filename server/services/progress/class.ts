/** A class over the term: learner by station, and what all of it should practise next. */
import { practiseNext } from '../../../core/progress/practise'
import { tallyOf } from '../../../core/progress/tally'
import type { Account } from '../../../shared/account'
import { lastSetFirst } from '../../../shared/exercises/assignment'
import type { ClassProgress } from '../../../shared/pieces/progress'
import { listAssignmentsIn } from '../../db/exercises/assignments'
import { findClass } from '../../db/classes/classes'
import { db } from '../../db/pool'
import { listLearners, listMarked, listTermPieces } from '../../db/critique/progress'
import { inClass } from '../access'
import { readPieces } from './learner'

/** What somebody is weak in shows in their latest pieces. */
const LATEST = 2

export async function progressOfClass(account: Account, classId: number): Promise<ClassProgress> {
  await inClass(account, classId, 'look')
  const [{ name }, learners, assignments] = await Promise.all([
    findClass(db(), classId).then(found => found!),
    listLearners(db(), classId),
    listAssignmentsIn(db(), classId)
  ])
  const each = []
  for (const learner of learners) {
    const whose = { learnerId: learner.id, classIds: [classId] },
      pieces = await listTermPieces(db(), whose),
      latest = await readPieces(pieces.filter(p => p.assignmentId === null).slice(-LATEST))
    each.push({
      ...learner,
      pieces: pieces.length,
      tally: tallyOf(await listMarked(db(), whose)),
      readings: latest.flatMap(p => p.readings),
      set: assignments
        .filter(a => a.learner.id === learner.id)
        .sort(lastSetFirst)
        .map(a => a.exercise)
    })
  }
  return {
    name,
    learners: each.map(({ id, name: who, pieces, tally }) => ({ id, name: who, pieces, tally })),
    practise: practiseNext(each)
  }
}
