import { passwordChangeSchema } from '../../../shared/account'
import { body } from '../../http/body'
import { route } from '../../http/route'
import { browserOf, clientAddress } from '../../http/sender'
import { beginSession } from '../../http/session'
import { changePassword } from '../../services/entering/accounts'

/** Passwords are looked at in turn, so this may take longer than other requests. */
export default route(
  'account',
  async ({ event, account }) => {
    const change = await body(event, passwordChangeSchema)
    await beginSession(
      event,
      await changePassword(account, { ...change, address: clientAddress(event), browser: browserOf(event) })
    )
    return {}
  },
  { limitMs: 30_000 }
)
