import { idParam, route } from '../../../http/route'
import { visibleSubmission } from '../../../services/access'
import { measureAgain } from '../../../services/measuring'

/** Tries a failed measurement again. */
export default route('account', async ({ event, account }) => {
  const { id } = await visibleSubmission(account, idParam(event))
  await measureAgain(id)
  return {}
})
