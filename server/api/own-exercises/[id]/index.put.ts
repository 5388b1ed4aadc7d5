import { ownExerciseSchema } from '../../../../shared/exercises/own-exercise'
import { body } from '../../../http/body'
import { idParam, route } from '../../../http/route'
import { changeOwn } from '../../../services/exercises/own'

export default route('instructor', async ({ event, account }) => {
  await changeOwn(account, idParam(event), await body(event, ownExerciseSchema))
  return {}
})
