import { assignInputSchema } from '../../../../shared/critique'
import { body } from '../../../http/body'
import { idParam, route } from '../../../http/route'
import { assignExercise } from '../../../services/critiques'

export default route('staff', async ({ event, account }) => {
  const { exercise, dueOn } = await body(event, assignInputSchema)
  await assignExercise(account, idParam(event), { exercise, dueOn })
  return {}
})
