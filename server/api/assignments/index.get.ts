import { route } from '../../http/route'
import { listAssignments } from '../../services/assignments'

export default route('account', ({ account }) => listAssignments(account))
