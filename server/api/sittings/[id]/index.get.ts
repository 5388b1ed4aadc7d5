import { idParam, route } from '../../../http/route'
import { readSitting } from '../../../services/calls/sittings'

export default route('instructor', ({ event, account }) => readSitting(account, idParam(event)))
