import { idParam, route } from '../../../http/route'
import { confirmAssignment } from '../../../services/assignments'

export default route('instructor', async ({ event, account }) => {
  await confirmAssignment(account, idParam(event), new Date())
  return {}
})
