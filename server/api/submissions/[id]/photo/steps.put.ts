import { photoChangeSchema } from '../../../../../shared/pieces/photo'
import { body } from '../../../../http/body'
import { idParam, route } from '../../../../http/route'
import { changeSteps } from '../../../../services/pieces/photographed'

/** All pixels of a large photograph are gone through. */
const LIMIT_MS = 60_000

export default route(
  'staff',
  async ({ event, account }) => {
    await changeSteps(account, idParam(event), await body(event, photoChangeSchema))
    return {}
  },
  { limitMs: LIMIT_MS }
)
