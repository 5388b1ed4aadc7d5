import { planSchema } from '../../../../shared/assignment'
import { body } from '../../../http/body'
import { idParam, route } from '../../../http/route'
import { writePlan } from '../../../services/exercises/answering'

export default route('learner', async ({ event, account }) => {
  await writePlan(account, idParam(event), await body(event, planSchema))
  return {}
})
