import { route } from '../http/route'
import { shelfTotals } from '../services/listing'

export default route('instructor', ({ account }) => shelfTotals(account))
