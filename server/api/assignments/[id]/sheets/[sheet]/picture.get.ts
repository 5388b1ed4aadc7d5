import { idParam, route } from '../../../../../http/route'
import { sendPicture } from '../../../../../http/picture'
import { sheetPicture } from '../../../../../services/exercises/sheets'

export default route('account', async ({ event, account }) =>
  sendPicture(event, await sheetPicture(account, idParam(event), idParam(event, 'sheet')))
)
