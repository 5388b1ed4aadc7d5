import { scoredSchema } from '../../../../shared/score'
import { body, idParam, route } from '../../../http/route'
import { writeScore } from '../../../services/critiques'

/** Null for words only. */
export default route('instructor', async ({ event, account }) => {
  await writeScore(account, idParam(event), await body(event, scoredSchema.nullable()))
  return {}
})
