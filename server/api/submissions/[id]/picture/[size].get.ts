import { getRouterParam } from 'h3'
import { AppError } from '../../../../../shared/errors'
import { sendPicture } from '../../../../http/picture'
import { idParam, route } from '../../../../http/route'
import { visiblePiece } from '../../../../services/access'
import { pictureHash, SERVED_SIZES } from '../../../../services/pieces/pictures'

/** A full size is made when it is first looked at. */
const LIMIT_MS = 60_000

/**
 * One size of a piece's picture, or its reference. The original bytes, which may carry a place or a camera, never
 * leave.
 */
export default route(
  'account',
  async ({ event, account }) => {
    const piece = await visiblePiece(account, idParam(event))
    const asked = getRouterParam(event, 'size'),
      size = SERVED_SIZES.find(s => s === asked)
    if (!size) throw new AppError('not-found', 'There is no such size of the picture.')
    return sendPicture(event, await pictureHash(account, piece.id, size))
  },
  { limitMs: LIMIT_MS }
)
