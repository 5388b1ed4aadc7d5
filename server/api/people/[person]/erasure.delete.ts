import { idParam, route } from '../../../http/route'
import { undoErasure } from '../../../services/house/erasing'

/** It stays after all. */
export default route('account', async ({ event, account }) => {
  await undoErasure(account, idParam(event, 'person'))
  return {}
})
