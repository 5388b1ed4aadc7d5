import { getRequestHeader, getRouterParam, setResponseHeader, setResponseStatus } from 'h3'
import { AppError } from '../../../../../shared/errors'
import { findPictureBytes, type PictureSize } from '../../../../db/pictures'
import { db } from '../../../../db/pool'
import { idParam, route } from '../../../../http/route'
import { visibleSubmission } from '../../../../services/access'

/** The display or thumbnail size. The original bytes, which may carry a place or a camera, never leave. */
export default route('account', async ({ event, account }) => {
  const { id } = await visibleSubmission(account, idParam(event))
  const size = getRouterParam(event, 'size')
  if (size !== 'display' && size !== 'thumb') throw new AppError('not-found', 'There is no such size of the picture.')
  const blob = await findPictureBytes(db(), id, size satisfies PictureSize)
  if (!blob) throw new AppError('not-found', 'The picture is missing.')
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
