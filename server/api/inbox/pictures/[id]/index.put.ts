import { letterAnswerSchema } from '../../../../../shared/letter'
import { body } from '../../../../http/body'
import { idParam, route } from '../../../../http/route'
import { answerLetter } from '../../../../services/inbox/taking'

export default route('instructor', async ({ event, account }) =>
  answerLetter(account, idParam(event), await body(event, letterAnswerSchema))
)
