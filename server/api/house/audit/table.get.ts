import { setResponseHeader } from 'h3'
import { route } from '../../../http/route'
import { db } from '../../../db/pool'
import { audit, auditTable } from '../../../services/house/audit'

export default route('owner', async ({ event, account }) => {
  setResponseHeader(event, 'content-type', 'text/csv; charset=utf-8')
  setResponseHeader(event, 'content-disposition', 'attachment; filename="audit.csv"')
  await audit(db(), { action: 'exported', actorId: account.id, detail: 'audit.csv' })
  return auditTable()
})
