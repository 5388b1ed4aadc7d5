import { idParam, route } from '../../../../http/route'
import { sendTable } from '../../../../http/table'
import { exerciseTable } from '../../../../services/exercises/record'

/** The record as CSV. */
export default route('staff', async ({ event, account }) =>
  sendTable(event, await exerciseTable(account, idParam(event)), 'exercises.csv')
)
