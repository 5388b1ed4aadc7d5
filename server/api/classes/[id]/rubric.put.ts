import { rubricSchema } from '../../../../shared/score'
import { body } from '../../../http/body'
import { idParam, route } from '../../../http/route'
import { writeRubric } from '../../../services/critique/standards'

export default route('instructor', async ({ event, account }) => {
  await writeRubric(account, idParam(event), await body(event, rubricSchema))
  return {}
})
