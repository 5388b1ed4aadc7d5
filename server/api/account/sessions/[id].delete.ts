import { idParam, route } from '../../../http/route'
import { endOne } from '../../../services/entering/accounts'

export default route('account', async ({ event, account }) => {
  await endOne(account, idParam(event))
  return {}
})
