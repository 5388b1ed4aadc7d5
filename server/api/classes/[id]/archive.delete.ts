import { idParam, route } from '../../../http/route'
import { archiveClass } from '../../../services/classes'

/** Brings it back. */
export default route('account', async ({ event, account }) => {
  await archiveClass(account, idParam(event), false)
  return {}
})
