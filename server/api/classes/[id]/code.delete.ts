import { idParam, route } from '../../../http/route'
import { changeJoinCode } from '../../../services/house/classes'

/** Nobody joins by code any more. */
export default route('account', ({ event, account }) => changeJoinCode(account, idParam(event), false))
