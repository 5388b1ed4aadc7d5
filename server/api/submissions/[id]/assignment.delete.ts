import { idParam, route } from '../../../http/route'
import { unassignExercise } from '../../../services/critique/critiques'

export default route('staff', async ({ event, account }) => {
  await unassignExercise(account, idParam(event))
  return {}
})
