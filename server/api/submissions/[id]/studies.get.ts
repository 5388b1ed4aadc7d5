import { idParam, route } from '../../../http/route'
import { studiesOfPiece } from '../../../services/pieces/studies'

/** The small versions before a piece, in their order. */
export default route('account', ({ event, account }) => studiesOfPiece(account, idParam(event)))
