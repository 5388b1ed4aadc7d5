import { getRouterParam } from 'h3'
import { route } from '../../../http/route'
import { clientAddress } from '../../../http/sender'
import { readCode } from '../../../services/entering/entering'

export default route('anybody', ({ event }) => readCode(getRouterParam(event, 'code') ?? '', clientAddress(event)))
