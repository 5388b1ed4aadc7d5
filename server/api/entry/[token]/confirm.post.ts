import { getRouterParam } from 'h3'
import { route } from '../../../http/route'
import { clientAddress } from '../../../http/sender'
import { confirmEntry } from '../../../services/calls/entering'

export default route('anybody', async ({ event }) => {
  await confirmEntry(getRouterParam(event, 'token') ?? '', clientAddress(event))
  return {}
})
