import { route } from '../../http/route'
import { callsOf } from '../../services/calls/calls'

export default route('instructor', ({ account }) => callsOf(account))
