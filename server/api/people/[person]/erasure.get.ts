import { idParam, route } from '../../../http/route'
import { erasureOf } from '../../../services/house/erasing'

export default route('account', ({ event, account }) => erasureOf(account, idParam(event, 'person')))
