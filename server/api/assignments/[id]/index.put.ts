import { changeInputSchema } from '../../../../shared/exercises/assignment'
import { body } from '../../../http/body'
import { idParam, route } from '../../../http/route'
import { changeAssignment } from '../../../services/exercises/setting'

/** Another day, or another word with it. */
export default route('instructor', async ({ event, account }) => {
  await changeAssignment(account, idParam(event), await body(event, changeInputSchema))
  return {}
})
