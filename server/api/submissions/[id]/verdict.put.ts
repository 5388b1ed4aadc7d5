import { verdictInputSchema } from '../../../../shared/critique'
import { body } from '../../../http/body'
import { idParam, route } from '../../../http/route'
import { writeVerdict } from '../../../services/critique/critiques'

export default route('staff', async ({ event, account }) => {
  const { works, verdict, revision } = await body(event, verdictInputSchema)
  return { revision: await writeVerdict(account, idParam(event), { works, verdict, revision }) }
})
