import { phraseInputSchema } from '../../../shared/phrase'
import { body } from '../../http/body'
import { idParam, route } from '../../http/route'
import { changePhrase } from '../../services/critique/phrases'

export default route('staff', async ({ event, account }) => {
  await changePhrase(account, idParam(event), (await body(event, phraseInputSchema)).words)
  return {}
})
