import { route } from '../../../http/route'
import { readRuns } from '../../../services/workshop/drills'

export default route('account', ({ account }) => readRuns(account))
