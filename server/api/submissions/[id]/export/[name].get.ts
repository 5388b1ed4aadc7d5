import { getRouterParam, setResponseHeader } from 'h3'
import { AppError } from '../../../../../shared/errors'
import { idParam, route } from '../../../../http/route'
import { publicOrigin } from '../../../../http/sender'
import { exportPiece, EXPORTS } from '../../../../services/exporting'

export default route('account', async ({ event, account }) => {
  const asked = getRouterParam(event, 'name'), name = EXPORTS.find(e => e === asked)
  if (!name) throw new AppError('not-found', 'A piece is not written in that format.')
  const { mediaType, fileName, text } = await exportPiece(account, idParam(event), name, publicOrigin(event))
  setResponseHeader(event, 'content-type', mediaType)
  setResponseHeader(event, 'content-disposition', `attachment; filename="${fileName}"`)
  return text
})
