import { scoreChangeSchema } from '../../../../shared/score'
import { body } from '../../../http/body'
import { idParam, route } from '../../../http/route'
import { writeScore } from '../../../services/critique/critiques'

export default route('staff', async ({ event, account }) => {
  const { score, over } = await body(event, scoreChangeSchema)
  await writeScore(account, idParam(event), { score, over })
  return {}
})
