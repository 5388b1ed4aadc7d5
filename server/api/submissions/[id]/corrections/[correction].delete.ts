import { idParam, route } from '../../../../http/route'
import { removeCorrection } from '../../../../services/critique/corrections'

export default route('staff', async ({ event, account }) => {
  await removeCorrection(account, idParam(event), idParam(event, 'correction'))
  return {}
})
