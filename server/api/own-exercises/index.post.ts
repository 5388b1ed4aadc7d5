import { ownExerciseSchema } from '../../../shared/exercises/own-exercise'
import { body } from '../../http/body'
import { route } from '../../http/route'
import { makeOwn } from '../../services/exercises/own'

export default route('instructor', async ({ event, account }) => ({
  id: await makeOwn(account, await body(event, ownExerciseSchema))
}))
