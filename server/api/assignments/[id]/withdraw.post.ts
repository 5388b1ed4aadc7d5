import { withdrawInputSchema } from '../../../../shared/exercises/assignment'
import { body } from '../../../http/body'
import { idParam, route } from '../../../http/route'
import { withdrawAssignment } from '../../../services/exercises/setting'

export default route('instructor', async ({ event, account }) => {
  const { note } = await body(event, withdrawInputSchema)
  await withdrawAssignment(account, idParam(event), note)
  return {}
})
