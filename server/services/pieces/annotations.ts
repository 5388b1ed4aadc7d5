/**
 * Annotations read back in: each becomes a correction or renews the one it came from; nothing of a file that cannot be
 * read is kept.
 */
import { z } from 'zod'
import { AppError } from '../../../shared/errors'
import type { Account } from '../../../shared/account'
import { annotationFileSchema, correctionFrom, type ReadAnnotation } from '../../../shared/pieces/annotation'
import { annotationId } from '../../../core/export/annotations'
import { insertCorrection, listCorrections, updateAnnotation, updateCorrection } from '../../db/critique/corrections'
import { pieceTo } from '../access'
import { editDraft } from '../critique/draft'

/** @throws AppError invalid, saying which annotation and why. */
function parsed(annotation: ReadAnnotation, place: number, size: { width: number; height: number }) {
  try {
    return correctionFrom(annotation, size)
  } catch (error) {
    const reason = error instanceof z.ZodError ? error.issues[0]!.message : 'it cannot be read'
    throw new AppError(
      'invalid',
      `Annotation ${place + 1} says nothing that could be marked: ${reason} Nothing was read in.`
    )
  }
}

/**
 * @param picture IRI that our own annotations of this piece are named after. @returns how many came new, and how many
 * were renewed.
 */
export async function readAnnotations(
  account: Account,
  submissionId: number,
  { file, picture }: { readonly file: unknown; readonly picture: string }
): Promise<{ added: number; renewed: number }> {
  const submission = await pieceTo('draft', account, submissionId),
    result = annotationFileSchema.safeParse(file)
  if (!result.success) throw new AppError('invalid', `${result.error.issues[0]!.message} Nothing was read in.`)
  const items = result.data.map((annotation, place) => ({ annotation, input: parsed(annotation, place, submission) }))
  return editDraft(account, submissionId, async connection => {
    const own = new Map((await listCorrections(connection, submissionId)).map(c => [annotationId(picture, c.id), c.id]))
    let added = 0,
      renewed = 0
    for (const { annotation, input } of items) {
      const known = annotation.id === undefined ? undefined : own.get(annotation.id)
      if (known === undefined) added++
      else renewed++
      const id = known ?? (await insertCorrection(connection, submissionId, input))
      if (known !== undefined) await updateCorrection(connection, submissionId, { id, c: input })
      await updateAnnotation(connection, id, annotation)
    }
    return { added, renewed }
  })
}
