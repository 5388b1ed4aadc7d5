import { idParam, route } from '../../../../http/route'
import { sendTable } from '../../../../http/table'
import { peopleTable } from '../../../../services/roster/people'

/** The list as CSV. */
export default route('account', async ({ event, account }) =>
  sendTable(event, await peopleTable(account, idParam(event)), 'people.csv')
)
