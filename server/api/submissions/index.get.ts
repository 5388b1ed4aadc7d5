import { db } from '../../db/pool'
import { listSubmissionsForInstructor, listSubmissionsOfLearner } from '../../db/submissions'
import { route } from '../../http/route'

/** An instructor's pieces in the order to be worked; a learner's own, newest first. */
export default route('account', ({ account }) =>
  account.role === 'instructor' ? listSubmissionsForInstructor(db(), account.id) : listSubmissionsOfLearner(db(), account.id))
