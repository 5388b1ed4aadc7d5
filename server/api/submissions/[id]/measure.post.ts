import { idParam, route } from '../../../http/route'
import { visiblePiece } from '../../../services/access'
import { measureAgain } from '../../../services/pieces/measuring'

/** Tries a failed measurement again. */
export default route('account', async ({ event, account }) => {
  const piece = await visiblePiece(account, idParam(event))
  await measureAgain(piece.id)
  return {}
})
