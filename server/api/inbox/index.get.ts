import { route } from '../../http/route'
import { inboxOf } from '../../services/inbox/taking'

/** Mail that came in, of learners whom this account teaches. */
export default route('instructor', ({ account }) => inboxOf(account))
