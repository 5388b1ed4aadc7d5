import { idParam, route } from '../../../http/route'
import { visibleAssignment } from '../../../services/access'

export default route('account', ({ event, account }) => visibleAssignment(account, idParam(event)))
