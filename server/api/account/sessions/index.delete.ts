import { route } from '../../../http/route'
import { tokenOf } from '../../../http/session'
import { endOthers } from '../../../services/entering/accounts'

/** Signs out everywhere but here. */
export default route('account', async ({ event, account }) => {
  await endOthers(account, (await tokenOf(event))!)
  return {}
})
