import { route } from '../../http/route'
import { classesOf } from '../../services/listing'

export default route('account', ({ account }) => classesOf(account))
