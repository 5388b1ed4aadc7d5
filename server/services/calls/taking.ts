/** A guest's piece comes onto the desk: from here on it is a piece like any other, of a learner who has no password. */
import type { CallRow } from '../../db/classes/calls'
import { updateEntry, type EntryRow } from '../../db/classes/call-entries'
import { insertMembership } from '../../db/classes/memberships'
import type { Db } from '../../db/pool'
import { insertSubmission } from '../../db/pieces/submissions'
import { beginPiece } from '../pieces/handing-in'

interface Taken {
  readonly call: CallRow
  readonly entry: EntryRow
  /** When it came, as the desk orders it. */
  readonly at: Date
}

export async function takeEntry(connection: Db, { call, entry, at }: Taken): Promise<void> {
  await insertMembership(connection, { classId: call.classId, accountId: entry.accountId, role: 'learner' })
  const submissionId = await insertSubmission(connection, {
    learnerId: entry.accountId,
    pictureId: entry.pictureId,
    handIn: { ...entry.words, classId: call.classId, plannedScheme: null },
    handedInAt: at,
    referenceId: null,
    firstId: null
  })
  await beginPiece(connection, submissionId, entry.words)
  await updateEntry(connection, entry.id, { state: 'taken', submissionId })
}
