import { getRouterParam, setResponseHeader } from 'h3'
import { idParam, route } from '../../../../../http/route'
import { streamed } from '../../../../../http/stream'
import { exportedFile } from '../../../../../services/exports/export-jobs'

export default route('account', async ({ event, account }) => {
  const { mediaType, fileName, size, bytes } = await exportedFile(
    account,
    idParam(event),
    getRouterParam(event, 'job')!
  )
  setResponseHeader(event, 'content-type', mediaType)
  setResponseHeader(event, 'content-disposition', `attachment; filename="${fileName}"`)
  return streamed(event, bytes, size)
})
