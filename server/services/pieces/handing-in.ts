/** Taking a hand-in: decode first, keep everything in one transaction, then queue the measuring. */
import { stat } from 'node:fs/promises'
import { AppError } from '../../../shared/errors'
import type { Account } from '../../../shared/account'
import { FOCUS_NAME } from '../../../shared/critique'
import type { PhotoSteps } from '../../../core/photo/steps'
import { PICTURE_LIMITS, type HandIn } from '../../../shared/pieces/submission'
import type { Area } from '../../../core/picture/area'
import { withBlobs, type NewBlob } from '../../blobs/blobs'
import { insertArea } from '../../db/pieces/areas'
import { clearReturned } from '../../db/exercises/assignments'
import { insertCritique } from '../../db/critique/critiques'
import { isCall } from '../../db/classes/calls'
import { insertMeasurement } from '../../db/pieces/measurements'
import { insertPicture, type NewPicture } from '../../db/pieces/pictures'
import { db, type Db } from '../../db/pool'
import { cameTwice } from '../../db/outage'
import { findHandedIn, insertSubmission } from '../../db/pieces/submissions'
import { attachStudies } from '../../db/pieces/studies'
import { findFirst } from '../../db/pieces/versions'
import { TaskTooLong } from '../../work/lane'
import type { Ingested } from '../../work/picture.worker'
import { ingestPicture } from '../../work/workers'
import { inClass, ownAssignment, ownPiece } from '../access'
import { wakeMeasuring } from './measuring'
import { refuseBeyondQuota } from './quota'
import { logError } from '../../log'

const READS = 'PNG, JPEG, WebP and TIFF are read, up to 40 megapixels and 25 MB.'

/** Files that hold what was handed in. @property reference the picture that a study was made from, if one was. */
export interface HandedIn {
  readonly picture: string
  readonly reference: string | null
}

/** What every piece has from its first moment: its critique, what was pointed out on it, a place in the queue. */
export async function beginPiece(
  connection: Db,
  submissionId: number,
  { focusX, focusY }: { readonly focusX?: number; readonly focusY?: number }
): Promise<void> {
  await insertCritique(connection, submissionId)
  if (focusX !== undefined && focusY !== undefined)
    await insertArea(connection, submissionId, { name: FOCUS_NAME, area: focusAbout(focusX, focusY) })
  await insertMeasurement(connection, submissionId)
}

/** A pointed-out place becomes an area of a fifth of the picture about it, for the instructor to draw more exactly. */
function focusAbout(x: number, y: number): Area {
  const from = (v: number): number => Math.min(0.8, Math.max(0, v - 0.1))
  return { kind: 'rectangle', x: from(x), y: from(y), w: 0.2, h: 0.2 }
}

export type Sizes = Ingested & { readonly file: string; readonly steps: PhotoSteps | null }

/** @property what named when it is refused. @property steps done to it, where it is a photograph of work. */
interface Taking {
  readonly what: string
  readonly who: string
  readonly steps?: PhotoSteps | null
}

/** Decodes a file and makes its sizes. */
export async function takeApart(file: string, { what, who, steps = null }: Taking): Promise<Sizes> {
  if ((await stat(file)).size > PICTURE_LIMITS.bytes)
    throw new AppError('too-large', `${what} is larger than 25 MB. ${READS}`)
  const outcome = await ingestPicture({ file, steps }, who).catch((error: Error) => {
    if (!(error instanceof TaskTooLong)) logError('a hand-in could not be taken apart', error)
    throw new AppError(
      'not-a-picture',
      `${what} cannot be opened, or not within a reasonable time. Save it anew, and try again. ${READS}`
    )
  })
  if (outcome.kind === 'refused')
    throw new AppError(outcome.code, outcome.code === 'invalid' ? outcome.message : `${outcome.message} ${READS}`)
  return { ...outcome, file, steps }
}

/** Its blobs; the original stays in its file until it is kept: a queue of hand-ins is a queue of files. */
export async function blobsOf({ file, source, originalSha, display, thumb }: Sizes): Promise<NewBlob[]> {
  const sizes = [display, thumb].map(({ sha256, mediaType, bytes }) => ({
    sha256,
    mediaType,
    size: bytes.length,
    from: Buffer.from(bytes)
  }))
  const { size } = await stat(file)
  return [{ sha256: originalSha, mediaType: `image/${source.format}`, size, from: file }, ...sizes]
}

export const pictureOf = ({ source, originalSha, display, thumb, steps, told }: Sizes): NewPicture => ({
  original: originalSha,
  display: display.sha256,
  thumb: thumb.sha256,
  source,
  photo: steps && told && { steps, told }
})
export const keepPicture = (connection: Db, sizes: Sizes): Promise<number> =>
  insertPicture(connection, pictureOf(sizes))

interface HandingIn {
  readonly words: HandIn
  readonly files: HandedIn
  readonly now: Date
}

/**
 * One that was sent before with the same key, and whose answer was lost, is the piece that it became. @returns the
 * submission's id. @throws AppError in the learner's words; nothing is stored then.
 */
export async function handIn(learner: Account, handingIn: HandingIn): Promise<number> {
  const { key } = handingIn.words,
    before = (): Promise<number | null> => (key ? findHandedIn(db(), learner.id, key) : Promise.resolve(null))
  const known = await before()
  if (known !== null) return known
  try {
    return await handInNew(learner, handingIn)
  } catch (error) {
    // Both sendings came at once, and the other was the first.
    const other = cameTwice(error) ? await before() : null
    if (other === null) throw error
    return other
  }
}

async function handInNew(learner: Account, { words, files, now }: HandingIn): Promise<number> {
  await inClass(learner, words.classId, 'hand-in')
  await refuseBeyondQuota(learner.id, now)
  if (await isCall(db(), words.classId))
    throw new AppError('invalid', 'This is an open call: pieces come in by its own page.')
  if (words.earlierId) {
    const earlier = await ownPiece(learner, words.earlierId)
    if (earlier.classId !== words.classId) throw new AppError('invalid', 'The piece was handed in to another class.')
  }
  if (words.assignmentId) {
    const assignment = await ownAssignment(learner, words.assignmentId)
    if (assignment.classId !== words.classId) throw new AppError('invalid', 'The exercise was set in another class.')
  }
  const who = `${learner.id}`
  const picture = await takeApart(files.picture, { what: 'The picture', who, steps: words.steps })
  const from = files.reference === null ? null : await takeApart(files.reference, { what: 'The reference', who })
  const blobs = [...(await blobsOf(picture)), ...(from ? await blobsOf(from) : [])]
  const id = await withBlobs(blobs, async connection => {
    const pictureId = await keepPicture(connection, picture),
      referenceId = from && (await keepPicture(connection, from))
    const submissionId = await insertSubmission(connection, {
      learnerId: learner.id,
      pictureId,
      handIn: words,
      handedInAt: now,
      referenceId,
      firstId: words.earlierId ? await findFirst(connection, words.earlierId) : null
    })
    await attachStudies(connection, { learnerId: learner.id, submissionId }, words.studies ?? [])
    await beginPiece(connection, submissionId, words)
    if (words.assignmentId) await clearReturned(connection, words.assignmentId)
    return submissionId
  })
  wakeMeasuring()
  return id
}
