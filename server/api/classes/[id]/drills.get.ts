import { idParam, route } from '../../../http/route'
import { readClassRuns } from '../../../services/workshop/drills'

export default route('staff', ({ event, account }) => readClassRuns(account, idParam(event)))
