import { listClassesOf } from '../../db/classes'
import { db } from '../../db/pool'
import { route } from '../../http/route'

export default route('account', ({ account }) => listClassesOf(db(), account.id))
