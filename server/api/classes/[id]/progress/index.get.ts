import { idParam, route } from '../../../../http/route'
import { progressOfClass } from '../../../../services/progress/class'

export default route('staff', ({ event, account }) => progressOfClass(account, idParam(event)))
