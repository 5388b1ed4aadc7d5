import { getRequestHeader, getRouterParam, setResponseHeader, setResponseStatus } from 'h3'
import { AppError } from '../../../../../shared/errors'
import { idParam, route } from '../../../../http/route'
import { visibleSubmission } from '../../../../services/access'
import { SERVED_SIZES, servedPicture } from '../../../../services/pictures'

/** One size of a piece's picture, or its reference. The original bytes, which may carry a place or a camera, never leave. */
export default route('account', async ({ event, account }) => {
  const { id } = await visibleSubmission(account, idParam(event))
  const asked = getRouterParam(event, 'size'), size = SERVED_SIZES.find(s => s === asked)
  if (!size) throw new AppError('not-found', 'There is no such size of the picture.')
  const blob = await servedPicture(id, size)
  const etag = `"${blob.sha256}"`
  setResponseHeader(event, 'etag', etag)
  setResponseHeader(event, 'cache-control', 'private, max-age=3600')
  setResponseHeader(event, 'x-content-type-options', 'nosniff')
  if (getRequestHeader(event, 'if-none-match') === etag) {
    setResponseStatus(event, 304)
    return null
  }
  setResponseHeader(event, 'content-type', blob.mediaType)
  return blob.bytes
})
