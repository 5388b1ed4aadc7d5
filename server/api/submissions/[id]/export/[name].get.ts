import { getRouterParam, setResponseHeader } from 'h3'
import { AppError } from '../../../../../shared/errors'
import { exportNameSchema } from '../../../../../shared/pieces/export'
import { idParam, route } from '../../../../http/route'
import { publicAddress } from '../../../../http/sender'
import { exportPiece } from '../../../../services/exports/exports'

export default route('account', async ({ event, account }) => {
  const asked = exportNameSchema.safeParse(getRouterParam(event, 'name'))
  if (!asked.success) throw new AppError('not-found', 'A piece is not written in that format.')
  const { mediaType, fileName, text } = await exportPiece(account, {
    id: idParam(event),
    name: asked.data,
    origin: publicAddress(event)
  })
  setResponseHeader(event, 'content-type', mediaType)
  setResponseHeader(event, 'content-disposition', `attachment; filename="${fileName}"`)
  return text
})
