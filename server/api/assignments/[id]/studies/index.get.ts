import { idParam, route } from '../../../../http/route'
import { studiesOf } from '../../../../services/exercises/answering'

/** Their learner's alone. */
export default route('learner', ({ event, account }) => studiesOf(account, idParam(event)))
