import { idParam, route } from '../../../http/route'
import { changeJoinCode } from '../../../services/house/classes'

/** A new code to join by, in place of the one before. */
export default route('account', ({ event, account }) => changeJoinCode(account, idParam(event), true))
