import { getRequestHeader, getRouterParam, setResponseHeader, setResponseStatus } from 'h3'
import { AppError } from '../../../../../shared/errors'
import { idParam, route } from '../../../../http/route'
import { visiblePiece } from '../../../../services/access'
import { pictureBytes, pictureHash, SERVED_SIZES } from '../../../../services/pictures'

/** A full size is made when it is first looked at. */
const LIMIT_MS = 60_000

/**
 * One size of a piece's picture, or its reference. The original bytes, which may carry a place or a camera, never
 * leave. A browser may keep it and must ask again each time whether it may still show it: the next person at the same
 * browser may not.
 */
export default route(
  'account',
  async ({ event, account }) => {
    const piece = await visiblePiece(account, idParam(event))
    const asked = getRouterParam(event, 'size'),
      size = SERVED_SIZES.find(s => s === asked)
    if (!size) throw new AppError('not-found', 'There is no such size of the picture.')
    const hash = await pictureHash(account, piece.id, size),
      etag = `"${hash}"`
    setResponseHeader(event, 'etag', etag)
    setResponseHeader(event, 'cache-control', 'private, no-cache')
    if (getRequestHeader(event, 'if-none-match') === etag) {
      setResponseStatus(event, 304)
      return null
    }
    const { mediaType, bytes } = await pictureBytes(hash)
    setResponseHeader(event, 'content-type', mediaType)
    return bytes
  },
  { limitMs: LIMIT_MS }
)
