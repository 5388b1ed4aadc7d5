import { idParam, route } from '../../../http/route'
import { beginSitting } from '../../../services/calls/sittings'

export default route('instructor', async ({ event, account }) => ({ id: await beginSitting(account, idParam(event)) }))
