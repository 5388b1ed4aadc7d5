import { standardsSchema } from '../../../../shared/standards'
import { body } from '../../../http/body'
import { idParam, route } from '../../../http/route'
import { writeStandards } from '../../../services/critique/standards'

/** Null returns to the shipped standards. */
export default route('instructor', async ({ event, account }) => {
  await writeStandards(account, idParam(event), await body(event, standardsSchema.nullable()))
  return {}
})
