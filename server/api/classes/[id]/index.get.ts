import { idParam, route } from '../../../http/route'
import { readClass } from '../../../services/house/classes'

export default route('account', ({ event, account }) => readClass(account, idParam(event)))
