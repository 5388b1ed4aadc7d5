import { setResponseHeader } from 'h3'
import { idParam, route } from '../../../../http/route'
import { exportFileName } from '../../../../services/exports'
import { peopleTable } from '../../../../services/roster/people'

/** The list as CSV. */
export default route('account', async ({ event, account }) => {
  const { text, className } = await peopleTable(account, idParam(event))
  setResponseHeader(event, 'content-type', 'text/csv; charset=utf-8')
  setResponseHeader(event, 'content-disposition', `attachment; filename="${exportFileName(className, 'people.csv')}"`)
  return text
})
