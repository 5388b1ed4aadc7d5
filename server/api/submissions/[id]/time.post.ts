import { timeSchema } from '../../../../shared/score'
import { body } from '../../../http/body'
import { idParam, route } from '../../../http/route'
import { addTime } from '../../../services/critique/critiques'

export default route('staff', async ({ event, account }) => {
  await addTime(account, idParam(event), (await body(event, timeSchema)).seconds)
  return {}
})
