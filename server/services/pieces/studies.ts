/** Small versions before a piece: kept and checked privately, shown once they led to something that was handed in. */
import { nothingKnown } from '../../../core/critique/piece/known'
import { readingsOfPiece } from '../../../core/critique/stations/readings'
import { DEFAULT_STANDARDS } from '../../../core/critique/standards'
import { isMeasured } from '../../../core/measure/report'
import type { Account } from '../../../shared/account'
import { AppError } from '../../../shared/errors'
import type { KeptStudy, StudyFacts } from '../../../shared/pieces/study'
import { listClassesOf, findStandards } from '../../db/classes/classes'
import { withBlobs } from '../../blobs/blobs'
import { changeOnce } from '../../db/once'
import { db, type Db } from '../../db/pool'
import * as rows from '../../db/pieces/studies'
import { measureStored } from '../../work/workers'
import { visiblePiece } from '../access'
import { blobsOf, keepPicture, takeApart, type Sizes } from './handing-in'

/** Kept without a piece, at most: each is a whole picture. */
const MOST = 60
const COLOURS = 6

/** Read as a study is, by the standards of the first class that its maker learns in. */
async function factsOf(account: Account, picture: Sizes): Promise<StudyFacts> {
  const class_ = (await listClassesOf(db(), account.id)).find(c => c.role === 'learner' && !c.archived),
    standards = class_ ? await findStandards(db(), class_.id) : DEFAULT_STANDARDS,
    known = { ...nothingKnown(standards.wheel), stage: 'study' as const }
  const { measures } = await measureStored(
    { display: picture.display.bytes, reference: null, source: picture.source, known, exercise: null },
    `${account.id}`
  )
  const { value, harmony } = measures.report,
    { width, height } = picture.source
  return {
    width,
    height,
    palette: isMeasured(harmony) ? harmony.palette.slice(0, COLOURS).map(({ hex, share }) => ({ hex, share })) : [],
    range: isMeasured(value) ? value.range : null,
    said: readingsOfPiece(measures, known, standards)
      .filter(r => r.first)
      .sort((p, q) => p.first!.rank - q.first!.rank)
      .map(r => r.sentence)
  }
}

export async function keepStudy(account: Account, file: string, minutes: number | null): Promise<KeptStudy> {
  if ((await rows.listLooseStudies(db(), account.id)).length >= MOST)
    throw new AppError('invalid', `There are ${MOST} studies already: hand in what they led to, or take some away.`)
  const picture = await takeApart(file, { what: 'The study', who: `${account.id}` }),
    facts = await factsOf(account, picture)
  const keep = async (connection: Db): Promise<number> => {
    const pictureId = await keepPicture(connection, picture)
    return rows.insertKeptStudy(connection, { learnerId: account.id, pictureId, minutes, facts })
  }
  const id = await withBlobs(await blobsOf(picture), keep, changeOnce)
  return (await rows.listLooseStudies(db(), account.id)).find(s => s.id === id)!
}

export const looseStudies = (account: Account): Promise<KeptStudy[]> => rows.listLooseStudies(db(), account.id)

/** What was said of them is their maker's alone. */
export async function studiesOfPiece(account: Account, submissionId: number): Promise<KeptStudy[]> {
  const { learner } = await visiblePiece(account, submissionId),
    all = await rows.listStudiesOfPiece(db(), submissionId)
  return learner.id === account.id ? all : all.map(s => ({ ...s, said: [] }))
}

/** @returns the hash of its display size. @throws AppError not-found. */
export async function keptStudyPicture(account: Account, id: number): Promise<string> {
  const found = await rows.findStudy(db(), id)
  if (!found || (found.learnerId !== account.id && found.submissionId === null))
    throw new AppError('not-found', 'There is no such study, or it is not yours to see.')
  if (found.learnerId !== account.id) await visiblePiece(account, found.submissionId!)
  return found.sha256
}

/** One's own that led to nothing yet. @throws AppError not-found. */
export async function dropStudy(account: Account, id: number): Promise<void> {
  const gone = await rows.deleteKeptStudies(db(), 't.learner_id = ? AND t.submission_id IS NULL AND t.id = ?', [
    account.id,
    id
  ])
  if (gone === 0) throw new AppError('not-found', 'There is no such study, or it was handed in already.')
}
