import { getRouterParam } from 'h3'
import { route } from '../../../http/route'
import { clientAddress } from '../../../http/sender'
import { readLink } from '../../../services/entering/entering'

/** What a link is for, before it is used. */
export default route('anybody', ({ event }) => readLink(getRouterParam(event, 'token') ?? '', clientAddress(event)))
