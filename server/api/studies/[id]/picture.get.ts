import { idParam, route } from '../../../http/route'
import { sendPicture } from '../../../http/picture'
import { keptStudyPicture } from '../../../services/pieces/studies'

export default route('account', async ({ event, account }) =>
  sendPicture(event, await keptStudyPicture(account, idParam(event)))
)
