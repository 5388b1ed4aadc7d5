import { route } from '../../../http/route'
import { tokenOf } from '../../../http/session'
import { sessionsOf } from '../../../services/entering/accounts'

export default route('account', async ({ event, account }) => sessionsOf(account, (await tokenOf(event))!))
