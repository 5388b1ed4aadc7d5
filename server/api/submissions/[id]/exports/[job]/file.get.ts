import { getRouterParam, setResponseHeader } from 'h3'
import { idParam, route } from '../../../../../http/route'
import { exportedFile } from '../../../../../services/exports/export-jobs'

export default route('account', async ({ event, account }) => {
  const { mediaType, fileName, bytes } = await exportedFile(account, idParam(event), getRouterParam(event, 'job')!)
  setResponseHeader(event, 'content-type', mediaType)
  setResponseHeader(event, 'content-disposition', `attachment; filename="${fileName}"`)
  return bytes
})
