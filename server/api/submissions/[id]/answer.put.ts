import { answerInputSchema } from '../../../../shared/critique'
import { body } from '../../../http/body'
import { idParam, route } from '../../../http/route'
import { answerBack } from '../../../services/critique/after-release'

export default route('instructor', async ({ event, account }) => {
  await answerBack(account, idParam(event), (await body(event, answerInputSchema)).answer)
  return {}
})
