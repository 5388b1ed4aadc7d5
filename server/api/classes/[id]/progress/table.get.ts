import { idParam, route } from '../../../../http/route'
import { sendTable } from '../../../../http/table'
import { classTable } from '../../../../services/progress/tables'

/** Learner by station as CSV. */
export default route('staff', async ({ event, account }) =>
  sendTable(event, await classTable(account, idParam(event)), 'term.csv')
)
