import { idParam, route } from '../../../../http/route'
import { progressOf } from '../../../../services/progress/learner'

export default route('account', ({ event, account }) => progressOf(account, idParam(event, 'person')))
