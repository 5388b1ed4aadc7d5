import { idParam, route } from '../../../../../http/route'
import { told } from '../../../../../http/told'
import { compareFor } from '../../../../../services/versions/comparing'

/** Two large pictures on a slow machine. */
const LIMIT_MS = 60_000

/** A version over an older one; how far the measuring is comes line by line where that is asked for. */
export default route(
  'account',
  ({ event, account }) =>
    told<unknown, number>(event, tell =>
      compareFor(account, { newId: idParam(event), oldId: idParam(event, 'old') }, tell)
    ),
  { limitMs: LIMIT_MS }
)
