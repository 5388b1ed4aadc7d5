import { idParam, route } from '../../../../../http/route'
import { sendPicture } from '../../../../../http/picture'
import { studyPicture } from '../../../../../services/exercises/answering'

export default route('learner', async ({ event, account }) =>
  sendPicture(event, await studyPicture(account, idParam(event), idParam(event, 'study')))
)
