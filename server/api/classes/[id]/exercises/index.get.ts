import { idParam, route } from '../../../../http/route'
import { exerciseRecord } from '../../../../services/exercises/record'

/** Who is where, and which check is missed most. */
export default route('staff', ({ event, account }) => exerciseRecord(account, idParam(event)))
