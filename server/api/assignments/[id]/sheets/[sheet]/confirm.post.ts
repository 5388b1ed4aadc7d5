import { idParam, route } from '../../../../../http/route'
import { confirmSheet } from '../../../../../services/exercises/worksheets'

export default route('instructor', async ({ event, account }) => {
  await confirmSheet(account, idParam(event), idParam(event, 'sheet'), new Date())
  return {}
})
