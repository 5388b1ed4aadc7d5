import { addressChangeSchema } from '../../../shared/account'
import { body } from '../../http/body'
import { route } from '../../http/route'
import { clientAddress } from '../../http/sender'
import { askAddress } from '../../services/entering/entering'

/** A link is mailed to the new address. */
export default route(
  'account',
  async ({ event, account }) => {
    await askAddress(account, await body(event, addressChangeSchema), clientAddress(event))
    return {}
  },
  { limitMs: 30_000 }
)
