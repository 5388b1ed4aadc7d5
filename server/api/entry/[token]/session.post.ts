import { getRouterParam } from 'h3'
import { route } from '../../../http/route'
import { browserOf, clientAddress } from '../../../http/sender'
import { beginSession } from '../../../http/session'
import { enterByEntry } from '../../../services/calls/entering'

/** The guest comes in to read the critique. */
export default route('anybody', async ({ event }) => {
  const token = await enterByEntry(getRouterParam(event, 'token') ?? '', {
    address: clientAddress(event),
    browser: browserOf(event)
  })
  await beginSession(event, token)
  return {}
})
