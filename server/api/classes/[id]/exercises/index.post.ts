import { setInputSchema } from '../../../../../shared/exercises/assignment'
import { body } from '../../../../http/body'
import { idParam, route } from '../../../../http/route'
import { setExercise } from '../../../../services/exercises/setting'

/** Sets an exercise to some of the class. */
export default route('instructor', async ({ event, account }) => ({
  id: await setExercise(account, idParam(event), await body(event, setInputSchema))
}))
