import { sendPicture } from '../../../../http/picture'
import { idParam, route } from '../../../../http/route'
import { letterThumb } from '../../../../services/inbox/taking'

export default route('instructor', async ({ event, account }) =>
  sendPicture(event, await letterThumb(account, idParam(event)))
)
