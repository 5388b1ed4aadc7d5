import { setResponseHeader } from 'h3'
import { route } from '../../../http/route'
import { auditTable } from '../../../services/audit'

export default route('owner', async ({ event }) => {
  setResponseHeader(event, 'content-type', 'text/csv; charset=utf-8')
  setResponseHeader(event, 'content-disposition', 'attachment; filename="audit.csv"')
  return auditTable()
})
