import { idParam, route } from '../../../http/route'
import { readSet } from '../../../services/exercises/setting'

/** What was set at once, with what came back. */
export default route('staff', ({ event, account }) => readSet(account, idParam(event)))
