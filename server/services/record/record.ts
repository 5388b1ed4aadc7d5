/** One person's whole record, as a zip of open formats. */
import type { Account } from '../../../shared/account'
import type { Assignment } from '../../../shared/exercises/assignment'
import type { Critique } from '../../../shared/critique'
import type { PieceFacts } from '../../../shared/pieces/submission'
import { findAnswerPicture, listReadSheets, listStudies } from '../../db/exercises/answers'
import { listAuditOf } from '../../db/people/audit'
import { listClassesOf } from '../../db/classes/classes'
import { listMailTo } from '../../db/people/outbox'
import { listLettersOf, listWaitingOf } from '../../db/pieces/letters'
import { blobInto } from '../../blobs/blobs'
import { findPictureHash, type PictureSize } from '../../db/pieces/pictures'
import { listOwn } from '../../db/lists'
import { db } from '../../db/pool'
import { listEveryStudy } from '../../db/pieces/studies'
import { listRuns } from '../../db/workshop/drills'
import { listPaints } from '../../db/workshop/paints'
import { listSwatches } from '../../db/workshop/swatches'
import { dropScratch, scratchFile } from '../../scratch'
import { packRecord } from '../../work/workers'
import type { RecordPart } from '../../work/record/zip'
import { listAssignments } from '../exercises/listing'
import { audit } from '../house/audit'
import { readCritique } from '../critique/critiques'
import { mayDecide } from '../house/erasing'
import { exportFileName, writePiece } from '../exports/exports'
import { indexPage, type RecordPiece } from './index-page'

const A_WINDOW = 100
async function everyPiece(learnerId: number): Promise<PieceFacts[]> {
  const all: PieceFacts[] = []
  for (let after: number | null = null; ;) {
    const found: PieceFacts[] = await listOwn(db(), learnerId, { after, most: A_WINDOW })
    all.push(...found)
    if (found.length < A_WINDOW) return all
    after = found.at(-1)!.id
  }
}

const json = (what: unknown): string => `${JSON.stringify(what, null, 2)}\n`
const ENDING: Readonly<Record<string, string>> = {
  'image/jpeg': 'jpg',
  'image/png': 'png',
  'image/webp': 'webp',
  'image/tiff': 'tif'
}

/** Keeps a picture's bytes aside under their hash. @returns its part, or null where there is none. */
async function blobPart(
  hash: string | null,
  { name, scratch }: { readonly name: string; readonly scratch: () => string }
): Promise<RecordPart | null> {
  const file = scratch(),
    blob = await blobInto(hash, file)
  if (!blob) return null
  return { name: `${name}.${ENDING[blob.mediaType] ?? 'bin'}`, content: { file } }
}

/** What was photographed for an exercise: studies that nobody else ever saw, filled worksheets with what was read. */
async function exerciseParts(exercise: Assignment, scratch: () => string): Promise<RecordPart[]> {
  const folder = `exercises/${exportFileName(exercise.exercise, String(exercise.id))}`,
    of = { assignmentId: exercise.id }
  const [studies, sheets] = await Promise.all([listStudies(db(), exercise.id), listReadSheets(db(), exercise.id)])
  if (studies.length + sheets.length === 0) return []
  const pictures = await Promise.all([
    ...studies.map(async ({ id }) =>
      blobPart(await findAnswerPicture(db(), 'studies', { id, ...of }), { name: `${folder}/study-${id}`, scratch })
    ),
    ...sheets.map(async ({ id }) =>
      blobPart(await findAnswerPicture(db(), 'read_sheets', { id, ...of }), { name: `${folder}/sheet-${id}`, scratch })
    )
  ])
  return [
    ...pictures.filter(p => p !== null),
    { name: `${folder}/answers.json`, content: { text: json({ studies, sheets }) } }
  ]
}

/** Writes one size of a picture aside. @returns its part, or null where there is none. */
async function picturePart(
  id: number,
  size: PictureSize | 'reference',
  { name, scratch }: { readonly name: string; readonly scratch: () => string }
): Promise<RecordPart | null> {
  return blobPart(await findPictureHash(db(), id, size), { name, scratch })
}

/** What of a piece its maker may read. */
async function pieceParts(
  learner: Account,
  piece: PieceFacts,
  scratch: () => string
): Promise<{ parts: RecordPart[]; entry: RecordPiece }> {
  const folder = `pieces/${exportFileName(piece.title, String(piece.id))}`
  const text = (name: string, words: string): RecordPart => ({ name: `${folder}/${name}`, content: { text: words } })
  const pictures = await Promise.all([
    picturePart(piece.id, 'original', { name: `${folder}/as-handed-in`, scratch }),
    picturePart(piece.id, 'display', { name: `${folder}/as-shown`, scratch }),
    picturePart(piece.id, 'reference', { name: `${folder}/reference`, scratch })
  ])
  const critique: Critique | null = piece.state === 'released' ? await readCritique(learner, piece.id) : null
  const names = ['report.json', ...(critique ? (['readings.csv', 'annotations.json'] as const) : [])] as const
  const written = await Promise.all(
    // A piece that is not measured has no report.
    names.map(name => writePiece(learner, { id: piece.id, name, origin: '.' }).catch(() => null))
  )
  const parts = [
    ...pictures.filter(p => p !== null),
    text('piece.json', json(piece)),
    ...(critique ? [text('critique.json', json(critique))] : []),
    ...written.flatMap((w, i) => (w ? [text(names[i]!, w.text)] : []))
  ]
  return {
    parts,
    entry: { piece, critique, picture: pictures[1]?.name ?? pictures[0]?.name ?? '', files: parts.map(p => p.name) }
  }
}

/**
 * @param account who asks: themselves, an instructor of theirs, or the owner.
 * @returns a scratch file of the zip, to be dropped once it is sent. @throws AppError not-found.
 */
export async function takeRecord(account: Account, personId: number): Promise<{ file: string; fileName: string }> {
  const who = await mayDecide(account, personId),
    takenAt = new Date(),
    aside: string[] = []
  const scratch = (): string => {
    aside.push(scratchFile())
    return aside.at(-1)!
  }
  try {
    const pieces: RecordPiece[] = [],
      parts: RecordPart[] = []
    for (const piece of await everyPiece(personId)) {
      const made = await pieceParts(who, piece, scratch)
      pieces.push(made.entry)
      parts.push(...made.parts)
    }
    const exercises = (await listAssignments(who)).filter(a => a.learner.id === personId)
    for (const exercise of exercises) parts.push(...(await exerciseParts(exercise, scratch)))
    const studies = await listEveryStudy(db(), personId)
    for (const { id, original } of studies) {
      const part = await blobPart(original, { name: `studies/study-${id}`, scratch })
      if (part) parts.push(part)
    }
    for (const { id, name, original } of await listWaitingOf(db(), personId)) {
      const named = `by-mail/${exportFileName(name.replace(/\.\w+$/, ''), String(id))}`,
        part = await blobPart(original, { name: named, scratch })
      if (part) parts.push(part)
    }
    const classes = await listClassesOf(db(), personId)
    const record = {
      account: who,
      classes: classes.map(({ name, role }) => ({ name, role })),
      exercises,
      studies: studies.map(({ original: _, ...study }) => study),
      mail: await listMailTo(db(), personId),
      letters: (await listLettersOf(db(), personId)).map(({ subject, body, receivedAt, reason }) => ({
        subject,
        body,
        receivedAt,
        reason
      })),
      paints: await listPaints(db(), { accountId: personId }),
      swatches: await listSwatches(db(), personId),
      drills: await listRuns(db(), personId),
      trail: await listAuditOf(db(), personId)
    }
    const page = indexPage({ name: who.name, classes: classes.map(c => c.name), takenAt, pieces })
    const file = scratchFile()
    await packRecord(
      {
        parts: [
          { name: 'index.html', content: { text: page } },
          { name: 'record.json', content: { text: json(record) } },
          ...parts
        ],
        file
      },
      `${account.id}`
    )
    await audit(db(), { action: 'record-taken', actorId: account.id, accountId: personId })
    return { file, fileName: exportFileName(who.name, 'record.zip') }
  } finally {
    await Promise.all(aside.map(dropScratch))
  }
}
