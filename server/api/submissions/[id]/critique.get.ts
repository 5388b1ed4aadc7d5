import { idParam, route } from '../../../http/route'
import { readCritique } from '../../../services/critique/critiques'

export default route('account', ({ event, account }) => readCritique(account, idParam(event)))
