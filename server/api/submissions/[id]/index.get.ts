import { idParam, route } from '../../../http/route'
import { visibleSubmission } from '../../../services/access'

export default route('account', ({ event, account }) => visibleSubmission(account, idParam(event)))
