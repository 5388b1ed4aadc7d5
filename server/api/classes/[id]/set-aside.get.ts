import { idParam, route } from '../../../http/route'
import { setAsideIn } from '../../../services/critique/standards'

export default route('staff', ({ event, account }) => setAsideIn(account, idParam(event)))
