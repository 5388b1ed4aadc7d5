import { idParam, route } from '../../../../../http/route'
import { confirmSheet } from '../../../../../services/exercises/sheets'

export default route('instructor', async ({ event, account }) => {
  await confirmSheet(account, idParam(event), { sheetId: idParam(event, 'sheet'), now: new Date() })
  return {}
})
