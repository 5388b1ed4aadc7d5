import { questionInputSchema } from '../../../../shared/critique'
import { body } from '../../../http/body'
import { idParam, route } from '../../../http/route'
import { askBack } from '../../../services/critique/after-release'

export default route('learner', async ({ event, account }) => {
  await askBack(account, idParam(event), (await body(event, questionInputSchema)).question)
  return {}
})
