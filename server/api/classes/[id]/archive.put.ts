import { idParam, route } from '../../../http/route'
import { archiveClass } from '../../../services/house/classes'

/** Everything in it can be read from now on, and nothing changed. */
export default route('account', async ({ event, account }) => {
  await archiveClass(account, idParam(event), true)
  return {}
})
