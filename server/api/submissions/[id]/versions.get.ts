import { idParam, route } from '../../../http/route'
import { listPieceVersions } from '../../../services/versions/listing'

export default route('account', ({ event, account }) => listPieceVersions(account, idParam(event)))
