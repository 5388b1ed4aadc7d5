/** Taking a hand-in: decode first, keep everything in one transaction, then queue the measuring. */
import { AppError } from '../../shared/errors'
import type { Account } from '../../shared/account'
import { FOCUS_NAME } from '../../shared/critique'
import { PICTURE_LIMITS, type HandIn } from '../../shared/submission'
import type { Area } from '../../core/picture/area'
import { isEnrolled } from '../db/classes'
import { insertArea } from '../db/areas'
import { insertCritique } from '../db/critiques'
import { insertMeasurement } from '../db/measurements'
import { insertBlob, insertPicture } from '../db/pictures'
import { db, transaction, type Db } from '../db/pool'
import { insertSubmission } from '../db/submissions'
import type { Ingested } from '../work/picture.worker'
import { ingestPicture } from '../work/pool'
import { visibleAssignment } from './access'
import { wakeMeasuring } from './measuring'

const READS = 'PNG, JPEG, WebP and TIFF are read, up to 40 megapixels and 25 MB.'

/** A pointed-out place becomes an area of a fifth of the picture about it, for the instructor to draw more exactly. */
function focusAbout(x: number, y: number): Area {
  const from = (v: number): number => Math.min(0.8, Math.max(0, v - 0.1))
  return { kind: 'rectangle', x: from(x), y: from(y), w: 0.2, h: 0.2 }
}

type Sizes = Ingested & { readonly bytes: Buffer }

/** Decodes a file and makes its sizes. @param what named when it is refused. */
async function takeApart(bytes: Buffer, what: string): Promise<Sizes> {
  if (bytes.length > PICTURE_LIMITS.bytes) throw new AppError('too-large', `${what} is larger than 25 MB. ${READS}`)
  const outcome = await ingestPicture(bytes)
  if (outcome.kind === 'refused') throw new AppError(outcome.code, `${outcome.message} ${READS}`)
  return { ...outcome, bytes }
}

async function store(connection: Db, { bytes, source, originalSha, display, thumb }: Sizes): Promise<number> {
  await insertBlob(connection, { sha256: originalSha, mediaType: `image/${source.format}`, bytes })
  for (const size of [display, thumb]) await insertBlob(connection, { ...size, bytes: Buffer.from(size.bytes) })
  return insertPicture(connection, { original: originalSha, display: display.sha256, thumb: thumb.sha256, format: source.format, width: source.width, height: source.height })
}

/**
 * @param reference the picture that a study was made from, if one was.
 * @returns the submission's id. @throws AppError in the learner's words; nothing is stored then.
 */
export async function handIn(learner: Account, words: HandIn, bytes: Buffer, now: Date, reference: Buffer | null = null): Promise<number> {
  if (!await isEnrolled(db(), words.classId, learner.id)) throw new AppError('not-allowed', 'You are not in this class.')
  if (words.assignmentId) {
    const assignment = await visibleAssignment(learner, words.assignmentId)
    if (assignment.confirmedAt) throw new AppError('already-released', 'This exercise is already confirmed.')
    if (assignment.classId !== words.classId) throw new AppError('invalid', 'The exercise was set in another class.')
  }
  const picture = await takeApart(bytes, 'The picture'), from = reference && await takeApart(reference, 'The reference')
  const id = await transaction(async (connection) => {
    const pictureId = await store(connection, picture), referenceId = from && await store(connection, from)
    const submissionId = await insertSubmission(connection, learner.id, pictureId, words, now, referenceId)
    await insertCritique(connection, submissionId)
    if (words.focusX !== undefined && words.focusY !== undefined) await insertArea(connection, submissionId, FOCUS_NAME, focusAbout(words.focusX, words.focusY))
    await insertMeasurement(connection, submissionId, 'painter')
    return submissionId
  })
  wakeMeasuring()
  return id
}
