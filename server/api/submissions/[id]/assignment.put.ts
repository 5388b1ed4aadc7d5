import { assignInputSchema } from '../../../../shared/critique'
import { body } from '../../../http/body'
import { idParam, route } from '../../../http/route'
import { assignExercise } from '../../../services/critique/critiques'

export default route('staff', async ({ event, account }) => {
  await assignExercise(account, idParam(event), await body(event, assignInputSchema))
  return {}
})
