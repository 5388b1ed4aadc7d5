import { idParam, route } from '../../../../http/route'
import { listPeople } from '../../../../services/roster/people'

export default route('account', ({ event, account }) => listPeople(account, idParam(event)))
