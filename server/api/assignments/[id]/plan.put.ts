import { planSchema } from '../../../../shared/exercises/assignment'
import { body } from '../../../http/body'
import { idParam, route } from '../../../http/route'
import { ownAssignment } from '../../../services/access'
import { writePlan } from '../../../services/exercises/answering'

export default route('learner', async ({ event, account }) => {
  const id = idParam(event)
  await ownAssignment(account, id)
  await writePlan(account, id, await body(event, planSchema))
  return {}
})
