import { idParam, route } from '../../../../http/route'
import { handHouseLink } from '../../../../services/house/house'

export default route('owner', ({ event, account }) => handHouseLink(account, idParam(event, 'person')))
