import { idParam, route } from '../../../../../http/route'
import { sendPicture } from '../../../../../http/picture'
import { studyPicture } from '../../../../../services/exercises/answering'

export default route('learner', async ({ event, account }) =>
  sendPicture(event, await studyPicture(account, { id: idParam(event), studyId: idParam(event, 'study') }))
)
