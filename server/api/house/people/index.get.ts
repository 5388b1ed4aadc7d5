import { getQuery } from 'h3'
import { route } from '../../../http/route'
import { housePeople } from '../../../services/house/house'

export default route('owner', ({ event }) => housePeople(String(getQuery(event).find ?? '').slice(0, 100)))
