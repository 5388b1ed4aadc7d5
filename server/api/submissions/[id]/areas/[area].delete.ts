import { idParam, route } from '../../../../http/route'
import { removeArea } from '../../../../services/critique/corrections'

export default route('staff', async ({ event, account }) => {
  await removeArea(account, idParam(event), idParam(event, 'area'))
  return {}
})
