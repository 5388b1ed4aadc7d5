import { getRouterParam } from 'h3'
import { route } from '../../../http/route'
import { clientAddress } from '../../../http/sender'
import { readEntry } from '../../../services/calls/entering'

export default route('anybody', ({ event }) => readEntry(getRouterParam(event, 'token') ?? '', clientAddress(event)))
