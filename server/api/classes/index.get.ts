import { route } from '../../http/route'
import { classesOf } from '../../services/house/classes'

export default route('account', ({ account }) => classesOf(account))
