import { route } from '../../http/route'
import { classesOf } from '../../services/classes'

export default route('account', ({ account }) => classesOf(account))
