import { setResponseHeader } from 'h3'
import { idParam, route } from '../../../../http/route'
import { exportFileName } from '../../../../services/exports/exports'
import { termSheet } from '../../../../services/progress/sheet'

/** The term on a sheet, as PDF. */
export default route('account', async ({ event, account }) => {
  const { bytes, name } = await termSheet(account, idParam(event, 'person'))
  setResponseHeader(event, 'content-type', 'application/pdf')
  setResponseHeader(event, 'content-disposition', `attachment; filename="${exportFileName(name, 'term.pdf')}"`)
  return bytes
})
