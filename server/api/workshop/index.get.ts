import { route } from '../../http/route'
import { readWorkshop } from '../../services/workshop/paints'

export default route('account', ({ account }) => readWorkshop(account))
