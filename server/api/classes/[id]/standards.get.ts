import { idParam, route } from '../../../http/route'
import { readStandards } from '../../../services/critique/standards'

export default route('staff', ({ event, account }) => readStandards(account, idParam(event)))
