/** Exercises as set: a learner's own, and those of the classes that somebody helps to teach. */
import type { Account } from '../../../shared/account'
import type { Assignment } from '../../../shared/assignment'
import * as rows from '../../db/assignments'
import { db } from '../../db/pool'

export const listAssignments = (account: Account): Promise<Assignment[]> => rows.listAssignments(db(), account.id)
