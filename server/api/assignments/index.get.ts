import { route } from '../../http/route'
import { listAssignments } from '../../services/exercises/listing'

export default route('account', ({ account }) => listAssignments(account))
