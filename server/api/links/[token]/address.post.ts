import { getRouterParam } from 'h3'
import { route } from '../../../http/route'
import { clientAddress } from '../../../http/sender'
import { confirmAddress } from '../../../services/entering/entering'

/** The address that a link was mailed to is the account's. */
export default route('anybody', async ({ event }) => {
  await confirmAddress(getRouterParam(event, 'token') ?? '', clientAddress(event))
  return {}
})
