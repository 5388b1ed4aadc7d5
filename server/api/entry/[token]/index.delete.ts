import { getRouterParam } from 'h3'
import { route } from '../../../http/route'
import { clientAddress } from '../../../http/sender'
import { eraseEntry } from '../../../services/calls/entering'

/** The guest takes the piece away, and all that was said of it. */
export default route('anybody', async ({ event }) => {
  await eraseEntry(getRouterParam(event, 'token') ?? '', clientAddress(event))
  return {}
})
