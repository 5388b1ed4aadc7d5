import { idParam, route } from '../../../../../http/route'
import { handLink } from '../../../../../services/roster/people'

/** A link to be handed on. */
export default route('account', ({ event, account }) =>
  handLink(account, { classId: idParam(event), accountId: idParam(event, 'person') })
)
