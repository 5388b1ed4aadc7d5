import { idParam, route } from '../../../../http/route'
import { sendTable } from '../../../../http/table'
import { learnerTable } from '../../../../services/progress/tables'

/** Readings over the term as CSV. */
export default route('account', async ({ event, account }) =>
  sendTable(event, await learnerTable(account, idParam(event, 'person')), 'term.csv')
)
