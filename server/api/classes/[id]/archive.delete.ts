import { idParam, route } from '../../../http/route'
import { archiveClass } from '../../../services/house/classes'

/** Brings it back. */
export default route('account', async ({ event, account }) => {
  await archiveClass(account, idParam(event), false)
  return {}
})
